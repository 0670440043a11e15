/** Which way round a student plays. */
export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

/** How a build figure was obtained. */
export type FigureSource = 'measured' | 'estimated';

/** A build figure, how it was obtained, and one standard deviation; all lengths mm. */
export interface BuildFigure {
  value: number;
  source: FigureSource;
  uncertainty: number;
}

export const BUILD_FIGURES = [
  'height',
  'shoulderBreadth',
  'hipBreadth',
  'shoeLength',
  'shoeBreadth',
] as const;
export type BuildFigureName = (typeof BUILD_FIGURES)[number];

/** A student's build on one day. Shoulder breadth is from outer edge to outer edge. */
export type Build = Record<BuildFigureName, BuildFigure>;

/** Human ranges, mm (starting values, wide enough for juniors and the very tall). */
export const BUILD_RANGES: Record<BuildFigureName, { least: number; most: number }> = {
  height: { least: 900, most: 2300 },
  shoulderBreadth: { least: 200, most: 650 },
  hipBreadth: { least: 150, most: 550 },
  shoeLength: { least: 150, most: 380 },
  shoeBreadth: { least: 50, most: 160 },
};

/** One standard deviation of a tape or rule held by a coach, mm (starting values). */
export const MEASURED_UNCERTAINTY: Record<BuildFigureName, number> = {
  height: 10,
  shoulderBreadth: 8,
  hipBreadth: 8,
  shoeLength: 3,
  shoeBreadth: 3,
};
