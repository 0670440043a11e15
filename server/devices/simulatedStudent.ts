import { bell, chanceFrom } from './chance';
import type { Stance, Swing, Swinger } from './types';

/** What nobody sees: how this body answers to the way it stands. */
interface Response {
  basePath: number;
  /** Degrees of path that closing could bring at the very most, and how soon it comes. */
  closedReach: number;
  perToeward: number;
  perBall: number;
  /** Hips back on square feet, degrees, and what each foot's flare adds or takes. */
  hips: number;
  trailGain: number;
  leadCost: number;
  hipsMost: number;
  speed: number;
  perHip: number;
  scatter: number;
  mishits: number;
  tires: number;
  warmsIn: number;
  faceFollows: number;
  faceBase: number;
}

const between = (chance: () => number, least: number, most: number): number =>
  least + (most - least) * chance();

/**
 * A student's own response, drawn once from who they are: about as often one that the usual advice
 * would expect as one that it would not, whom closing hardly helps, or helps too much.
 */
function responseOf(studentId: string): Response {
  const chance = chanceFrom('response', studentId);
  const usual = chance() < 0.5;
  return {
    basePath: between(chance, -6, 2),
    closedReach: usual ? between(chance, 5, 9) : between(chance, -3, 18),
    perToeward: usual ? between(chance, -0.15, -0.05) : between(chance, -0.3, 0.2),
    perBall: between(chance, -0.035, 0.005),
    hips: between(chance, 22, 38),
    trailGain: between(chance, 0.4, 1),
    leadCost: between(chance, 0, 0.5),
    hipsMost: between(chance, 40, 55),
    speed: between(chance, 33, 44),
    perHip: between(chance, 0.02, 0.09),
    scatter: between(chance, 1.4, 3),
    mishits: between(chance, 0.03, 0.12),
    tires: between(chance, 0, 0.012),
    warmsIn: between(chance, 2, 5),
    faceFollows: between(chance, 0.4, 0.8),
    faceBase: between(chance, -2, 2),
  };
}

/** Hips bend toward the most they can do, and never get beyond it. */
const softened = (wanted: number, most: number): number =>
  most - 8 * Math.log1p(Math.exp((most - wanted) / 8));

/** A simulated student, the same one each time: the body by who it is, the swings by the session. */
export function simulatedStudent(studentId: string, sessionId: string): Swinger {
  const of = responseOf(studentId);
  return {
    swing(stance: Stance, number: number): Swing {
      const chance = chanceFrom('swing', sessionId, number);
      const cold = Math.exp(-(number - 1) / of.warmsIn);
      const tired = of.tires * Math.max(0, number - 20);
      const hips = softened(
        of.hips + of.trailGain * stance.trailFlare - of.leadCost * stance.leadFlare,
        of.hipsMost,
      );
      const path =
        of.basePath +
        of.closedReach * Math.tanh(stance.closed / 14) +
        of.perToeward * stance.toeward +
        of.perBall * (60 - stance.ballInside) -
        // A body that cannot turn swings around itself.
        0.12 * Math.max(0, 40 - hips) -
        12 * tired +
        of.scatter * (1 + 0.5 * cold) * bell(chance);
      const mishit = chance() < of.mishits * (1 + cold);
      const length = 1 + (stance.clubLengthInches - 37) * 0.03;
      return {
        path,
        face: of.faceBase + of.faceFollows * path + 0.8 * of.scatter * bell(chance),
        clubSpeed:
          of.speed * length * (1 - 0.05 * cold - tired) + of.perHip * (hips - 35) + 0.6 * bell(chance),
        offCentre: 7 * bell(chance),
        strike: mishit ? (chance() < 0.6 ? 'fat' : 'thin') : 'clean',
      };
    },
  };
}
