export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (angleInRadians: number): number => (angleInRadians * 180) / Math.PI;
