import type { TapName } from '../../../domain/photoTaps';

/** What this screen says. */
const asked: Record<TapName, string> = {
  corner1: 'Tap a corner of the paper',
  corner2: 'Tap the next corner round',
  corner3: 'Tap the third corner',
  corner4: 'Tap the last corner',
  stick1: 'Tap one end of the stick',
  stick2: 'Tap its other end',
  ball: 'Tap the middle of the ball',
  ballSide1: 'Tap one side of the ball',
  ballSide2: 'Tap its other side',
  leadToe: 'Tap the toe of the lead shoe',
  leadHeel: 'Tap its heel',
  leadEdge1: 'Tap its inner edge, near the heel',
  leadEdge2: 'Tap its inner edge, near the toe',
  trailToe: 'Tap the toe of the trail shoe',
  trailHeel: 'Tap its heel',
  trailEdge1: 'Tap its inner edge, near the heel',
  trailEdge2: 'Tap its inner edge, near the toe',
};

const names: Record<TapName, string> = {
  corner1: 'First corner of the paper',
  corner2: 'Second corner of the paper',
  corner3: 'Third corner of the paper',
  corner4: 'Fourth corner of the paper',
  stick1: 'One end of the stick',
  stick2: 'Other end of the stick',
  ball: 'Ball',
  ballSide1: 'One side of the ball',
  ballSide2: 'Other side of the ball',
  leadToe: 'Toe of the lead shoe',
  leadHeel: 'Heel of the lead shoe',
  leadEdge1: 'Inner edge of the lead shoe, near the heel',
  leadEdge2: 'Inner edge of the lead shoe, near the toe',
  trailToe: 'Toe of the trail shoe',
  trailHeel: 'Heel of the trail shoe',
  trailEdge1: 'Inner edge of the trail shoe, near the heel',
  trailEdge2: 'Inner edge of the trail shoe, near the toe',
};

/** The club stands for the stick. */
const ofClub: Partial<Record<TapName, string>> = {
  stick1: 'Tap one end of the club',
  stick2: 'Tap its other end',
};

export const messages = {
  asked: (name: TapName, byClub: boolean): string => (byClub && ofClub[name]) || asked[name],
  names,
  picture: 'The photo of the feet. Enter puts the next mark in its middle; arrow keys move a mark.',
  undo: 'Take the last tap back',
  noStick: 'No stick',
  heelHidden: 'Heel hidden',
  heelSeen: 'Heel seen',
  allTapped: 'Drag a mark where it is off its place.',
};
