/** Whether what came in is an object with fields, which an upgrade can look into; anything else is left to the schema. */
export const isRecord = (given: unknown): given is Record<string, unknown> =>
  typeof given === 'object' && given !== null && !Array.isArray(given);
