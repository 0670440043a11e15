/** What this screen says. */
export const messages = {
  width: 'Width',
  ball: 'Ball',
  leadFoot: 'Lead foot',
  trailFoot: 'Trail foot',
  lineThroughTheToes: 'Line through the toes',
  weightHeelToToe: 'Weight, heel to toe',
  weightSideToSide: 'Weight, side to side',
  aQuickLook: 'A quick look',
  tapWhatYouSeeLeave: 'Tap what you see. Leave what you cannot tell.',
  readWhatWasSeen: 'Read what was seen',
};
