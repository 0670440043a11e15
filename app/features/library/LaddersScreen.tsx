import { readLadderFile, writeLadderFile } from '@pedastance/contract/ladderFile';
import { LADDERS, type LadderName, type OwnLadder } from '@pedastance/core/ladder';
import { ladderName, rungWords } from '../../domain/ladderWords';
import { useOwnLadders } from '../../state/ownThings';
import { usePreferences } from '../../state/preferences';
import { keepLadders, newOwnId } from '../../state/writes/ownThings';
import { Body, Quiet } from '../../ui/Words';
import { LadderForm } from './LadderForm';
import { messages } from './LaddersScreen.messages';
import { OwnLibrary } from './OwnLibrary';

const BLANK: Omit<OwnLadder, 'id'> = {
  name: '',
  figure: 'trailFlare',
  purpose: '',
  passes: '',
  passing: 'from',
  swing: 'half swing',
  first: 0,
  last: 40,
  step: 5,
  minors: true,
};

/** A ladder of nobody in particular is spoken of in lead and trail. */
const SPEECH = { feet: 'lead and trail', hand: 'right' } as const;

/** The product's own ladders, as those that a coach may begin from. */
const BEGIN: OwnLadder[] = (Object.keys(LADDERS) as LadderName[]).map((name) => {
  const { figure, purpose, passes, passing, swing, first, last, fine } = LADDERS[name];
  return {
    id: name.replaceAll(' ', '-'),
    name: ladderName({ name, own: null }, { ...SPEECH, length: 'cm' }),
    figure,
    purpose,
    passes,
    passing,
    swing,
    first,
    last,
    step: fine,
    minors: true,
  };
});

/** A ladder as it reads. */
function Shown({ ladder }: { ladder: OwnLadder }) {
  const length = usePreferences((state) => state.length);
  const { name, figure, purpose, passes, swing, first, last, step } = ladder;
  const say = (rung: number) => rungWords({ figure }, rung, { ...SPEECH, length });
  return (
    <>
      <Body className="text-lg font-semibold">{name}</Body>
      <Body>{purpose}</Body>
      <Quiet>
        {`${messages.figures[figure]}. ${messages.from(say(first), say(last), say(step))}. ${messages.swings[swing]}.`}
      </Quiet>
      <Quiet>{messages.counts(passes)}</Quiet>
    </>
  );
}

const { title, none, library, add } = messages;

/** The academy's own ladders, and those to begin from. */
export function LaddersScreen() {
  const own = useOwnLadders();
  return (
    <OwnLibrary<OwnLadder>
      testID="own-ladder"
      words={{ title, none, library, add }}
      own={own}
      begin={BEGIN}
      blank={() => ({ ...BLANK, id: newOwnId() })}
      // The product's own stays beside it: what it found is told by its name.
      asOwn={(ladder) => ({ ...ladder, id: newOwnId() })}
      keep={keepLadders}
      read={(text) => {
        const read = readLadderFile(text);
        return 'faults' in read ? read : { things: read.ladders };
      }}
      write={writeLadderFile}
      fileName="ladders.json"
      shown={(ladder) => <Shown ladder={ladder} />}
      form={(props) => <LadderForm {...props} />}
    />
  );
}
