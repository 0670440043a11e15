import type { SessionPlace } from '@pedastance/contract';
import { ask, read } from './api';

/** Whether this sign-in began in another browser and network, so that the password is asked for. */
export const sessionPlace = (owner: string): Promise<SessionPlace> => read('/api/session/place', owner);

/** Shows the password once more: from then on this browser and network are the sign-in's own. */
export const confirmHere = (owner: string, password: string): Promise<unknown> =>
  ask('PUT', '/api/session/place', owner, { password });
