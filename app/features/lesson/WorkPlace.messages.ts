/** What this screen says. */
export const messages = {
  lessPlan: '▲ Less plan',
  plan: '▼ Plan',
  makeThePlanSmall: 'Make the plan small',
  showThePlan: 'Show the plan',
};
