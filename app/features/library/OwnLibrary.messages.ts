import type { Said } from '../../domain/said';

/** What a library of one's own says, whatever it holds. */
export const messages = {
  ours: 'Your own',
  edit: 'Change',
  editNamed: (name: Said) => `Change ${name}`,
  takeOut: 'Take out',
  takeOutNamed: (name: Said) => `Take out ${name}`,
  own: 'Make it your own',
  ownNamed: (name: Said) => `Make ${name} your own`,
  fromFile: 'Take some from a file',
  toFile: 'Save your own as a file',
  notTaken: 'The file was not taken. Nothing has changed.',
  notSaved: (why: Said) => `Not saved: ${why}`,
};
