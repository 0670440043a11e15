import type { Judgement } from '@pedastance/core/advice';
import { agreedFigures, itemReadFor } from '@pedastance/core/method';
import { causeSentence } from '@pedastance/core/phrases';
import type { Finding } from '@pedastance/core/reading';
import type { Setup } from '@pedastance/core/setup';

/** What is agreed on today's feet, and what was read of them. */
export interface Agreeing {
  setup: Setup;
  agreed: Setup;
  leadHeelLift: number;
  judgement: Judgement | null;
  findings: readonly Finding[];
}

/**
 * Reasons for what is agreed: the causes of the judgement that it answers, then what is out of its band and moved back
 * toward it. Nothing is offered for what was not moved.
 * @returns sentences in lead and trail, each once
 */
export function reasonsFor({ setup, agreed, leadHeelLift, judgement, findings }: Agreeing): string[] {
  const moved = agreedFigures(setup, agreed, { from: 0, to: leadHeelLift }, true);
  const isMoved = (item: string, by: 'more' | 'less') =>
    moved.some((each) => each.item === item && each.by === by);
  const causes = judgement
    ? judgement.things
        .filter(({ moves }) =>
          moves.some(({ figure, from, to }) => isMoved(itemReadFor(figure), to > from ? 'more' : 'less')),
        )
        .map((thing) => causeSentence(judgement, thing))
    : [];
  const limits = findings
    .filter(
      ({ item, verdict, limits: said }) =>
        said !== '' && verdict !== 'in' && isMoved(item, verdict === 'below' ? 'more' : 'less'),
    )
    .map(({ limits: said }) => said);
  return [...new Set([...causes, ...limits])];
}
