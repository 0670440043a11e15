import type { ClubId } from '../club';
import { ballMoveBy, DRIVER_ATTACK, driverAttack, lowPointOfShots, type Shot } from '../trial';
import { angleFigure, saidLength, type Units } from '../units';

/** Where something lies along the target line, as a coach says it of the ground. */
const fromBall = (ahead: number, units: Units): string =>
  Math.abs(ahead) < 5
    ? 'at the ball'
    : `${saidLength(Math.abs(ahead), units.length)} ${ahead > 0 ? 'ahead of' : 'behind'} the ball`;

function ballWords(start: number, units: Units): string {
  const by = ballMoveBy(start);
  if (by === 0) return 'Leave the ball: the divots start by it.';
  return `Move the ball ${saidLength(Math.abs(by), units.length)} ${by > 0 ? 'toward the target' : 'back'}: the divots start there.`;
}

/**
 * What the ground and a driver's attack say of the ball's place.
 * @param club the club
 * @param shots of one setup
 * @param units the coach’s, each quantity by itself
 * @returns one sentence after another, what to do first; empty where neither was noted
 */
export function groundSentences(club: ClubId, shots: readonly Shot[], units: Units): string[] {
  const low = club === 'driver' ? null : lowPointOfShots(shots);
  const attack = driverAttack(club, shots);
  const wanted = `${DRIVER_ATTACK.least} to ${angleFigure(DRIVER_ATTACK.most)}`;
  return [
    ...(low
      ? [
          ballWords(low.start, units),
          `The club is lowest ${fromBall(low.value, units)}, give or take ${saidLength(low.halfWidth, units.length)}.`,
        ]
      : []),
    ...(attack === null
      ? []
      : [
          `Look at tee height and strike again: a driver goes up ${wanted}.`,
          Math.abs(attack) < 0.5
            ? 'It goes level now.'
            : `It goes ${attack < 0 ? 'down' : 'up'} ${angleFigure(Math.abs(attack))} now.`,
        ]),
  ];
}
