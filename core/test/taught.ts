import { PRESETS } from '../method/presets';
import { asPlayed, bandsFor, setupAsTaught, type Bands, type Setup } from '..';
import { body as studentBody } from './example';

export const iron = asPlayed({ club: '7-iron', shot: 'full' });
export const method = (key = 'shoulders-and-neutral') => ({
  id: key,
  version: 1,
  ...PRESETS.find((preset) => preset.key === key)!.contents,
});
export const bands = (key?: string): Bands => bandsFor(method(key), studentBody(), iron);
export const taught = (): Setup => setupAsTaught(method(), studentBody(), iron);
