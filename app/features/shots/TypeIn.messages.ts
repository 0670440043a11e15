import { plural } from '@pedastance/core/units';

/** What this screen says. */
export const messages = {
  notTakenBackThisDevice: (why: string) => `Not taken back: this device could not keep it (${why})`,
  keepTheShot: 'Keep the shot',
  done: 'Done',
  kept: (count: number) => `${count} ${plural(count, 'shot', 'shots')} kept.`,
};
