/** What this screen says. */
export const messages = {
  hasGrownByOrMore:
    'Has grown since, or is in larger shoes: these figures were another body’s. Measure again before going by them.',
};
