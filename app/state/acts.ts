import { ask } from './api';

/** Says that an owner has looked through the acts up to one of them. */
export const actsSeen = (owner: string, newest: string): Promise<unknown> =>
  ask('PUT', '/api/privacy/seen', owner, { newest });
