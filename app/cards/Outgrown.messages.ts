/** What this screen says. */
export const messages = {
  hasGrownByOrMore:
    'Has grown by 2% or more since: these figures were another body’s. Measure again before going by them.',
};
