import { HELD_SHAPES, heldSentence, type Speech } from '@pedastance/core/phrases';
import type { Held } from '@pedastance/core/setup';
import { Body } from '../ui/Words';

const TONES = { held: 'moss', drifted: 'rust', 'cannot tell': 'pencil', 'not measured': 'pencil' } as const;

/** Agreed figures with how they stand, by shape, word and colour. */
export function HeldLines({ held, speech }: { held: readonly Held[]; speech: Speech }) {
  return (
    <>
      {held.map((each) => (
        <Body key={each.figure} tone={TONES[each.verdict]} className="figures font-semibold">
          {`${HELD_SHAPES[each.verdict]} ${heldSentence(each, speech)}`}
        </Body>
      ))}
    </>
  );
}
