import type { NewBuild } from '@pedastance/contract';
import { hasOutgrown } from '@pedastance/core/body';

/** Whether figures made with one build are another body's by the other. */
export const outgrown = (then: NewBuild | undefined, now: NewBuild | null | undefined): boolean =>
  Boolean(then && now && hasOutgrown(then.figures.height.value, now.figures.height.value));
