/** An angle with one standard deviation, degrees. */
export interface Angle {
  value: number;
  uncertainty: number;
}

/**
 * @param degrees an angle, degrees
 * @returns the same angle, radians
 * @example radians(180) // 3.141592653589793
 */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * @param angleInRadians an angle, radians
 * @returns the same angle, degrees
 * @example degrees(Math.PI / 2) // 90
 */
export const degrees = (angleInRadians: number): number => (angleInRadians * 180) / Math.PI;
