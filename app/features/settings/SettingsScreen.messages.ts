import { plural } from '@pedastance/core/units';
import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  academyAndKeys: 'Colleagues and keys',
  centimetres: 'Centimetres',
  inches: 'Inches',
  metres: 'Metres',
  yards: 'Yards',
  mph: 'mph',
  kmH: 'km/h',
  leadAndTrail: 'Lead and trail',
  leftAndRight: 'Left and right',
  coachFacingTheStudent: 'Coach, facing the student',
  studentLookingDown: 'Student, looking down',
  paper: 'Paper',
  dusk: 'Dusk',
  asTheDevice: 'As the device',
  notSentYet: (unsent: Said) => `${unsent} not sent yet`,
  lessonsInProgress: (drafts: number) => `${drafts} ${plural(drafts, 'lesson', 'lessons')} in progress`,
  theyStayOnThisDevice: (instructorName: Said) =>
    `They stay on this device, sealed so that only ${instructorName} can open them, and go on when ${instructorName} signs in here again. Clearing the browser’s data before then would lose them.`,
  staySignedIn: 'Stay signed in',
  signOutKeepThemHere: 'Sign out, keep them here',
  signOut: 'Sign out',
  settings: 'Settings',
  lengthsOnTheGround: 'Lengths on the ground',
  howFarTheBallFlew: 'How far the ball flew',
  speeds: 'Speeds',
  sayFeet: 'Say feet as',
  drawThePlanAsSeen: 'Draw the plan as seen by',
  light: 'Light',
  signedIn: 'Signed in',
  whatIsNotSentYet: 'What is not sent yet',
  coachingSupportNotMedicalAdvice: 'Coaching support, not medical advice. Every ± is one standard deviation.',
};
