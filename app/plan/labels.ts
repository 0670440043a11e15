interface LabelStyle {
  className: string;
  /** Where the words begin; what is not said here the drawing says. */
  anchor?: 'middle';
  /** Their height, in letters of the drawing. */
  letters: number;
}

const flare: LabelStyle = { className: 'strong halo', letters: 1.15 };
const halfName: LabelStyle = { className: 'strong', letters: 0.95 };
const halfFigure: LabelStyle = { className: 'strong halo', letters: 1.3 };
const enough: LabelStyle = { className: 'quiet strong', letters: 0.95 };
const stops: LabelStyle = { className: 'stops strong halo', anchor: 'middle', letters: 0.95 };

/** How each of the plan's words is set. */
const STYLES = {
  'lead-flare': flare,
  'trail-flare': flare,
  'width-figure': { className: 'strong', anchor: 'middle', letters: 1.15 },
  'shoulders-figure': { className: 'quiet', anchor: 'middle', letters: 0.85 },
  'target-word': { className: 'quiet', letters: 0.85 },
  'ball-figure': { className: 'quiet halo', letters: 0.9 },
  'path-figure': { className: 'strong halo', letters: 0.9 },
  'hips-word': { className: 'strong', anchor: 'middle', letters: 0.9 },
  'back-name': halfName,
  'back-figure': halfFigure,
  'back-enough': enough,
  'through-name': halfName,
  'through-figure': halfFigure,
  'through-enough': enough,
  'stops-0': stops,
  'stops-1': stops,
  'stops-2': stops,
} satisfies Record<string, LabelStyle>;

export type LabelPart = keyof typeof STYLES;

export const LABELS: Record<LabelPart, LabelStyle> = STYLES;

export const LABEL_PARTS = Object.keys(LABELS) as LabelPart[];
