/** What this screen says. */
export const messages = {
  theFeetFromAbove: 'The feet from above',
  theFeetFromAboveTouch: 'The feet from above. Touch a sole to say where the load is.',
  theFeetFromAboveT:
    'The feet from above. t, l or b chooses trail foot, lead foot or ball; arrow keys move it, brackets turn it.',
};
