import { readDrillFile, writeDrillFile } from '@pedastance/contract/drillFile';
import { DRILL_LIBRARY, type Drill } from '@pedastance/core/card';
import { useOwnDrills } from '../../state/ownThings';
import { keepDrills, newOwnId } from '../../state/writes/ownThings';
import { Body, Quiet } from '../../ui/Words';
import { DrillForm } from './DrillForm';
import { messages } from './DrillsScreen.messages';
import { OwnLibrary } from './OwnLibrary';

const EMPTY: Omit<Drill, 'id'> = {
  name: '',
  things: [],
  cameFor: [],
  tellTales: [],
  paths: [],
  stops: [],
  how: '',
  dose: '',
  feel: '',
  right: '',
  needs: '',
  notFor: [],
  minors: true,
};

/** A drill as it reads. */
function Shown({ drill }: { drill: Drill }) {
  const { name, how, dose, feel, right, needs } = drill;
  return (
    <>
      <Body className="text-lg font-semibold">{name}</Body>
      <Body>{how}</Body>
      <Body className="font-semibold">{dose}</Body>
      {feel !== '' && <Quiet>{messages.feel(feel)}</Quiet>}
      {right !== '' && <Quiet>{messages.right(right)}</Quiet>}
      {needs !== '' && <Quiet>{messages.needs(needs)}</Quiet>}
    </>
  );
}

const { title, none, library, add } = messages;

/** The academy's own drills and those to begin from. */
export function DrillsScreen() {
  const own = useOwnDrills();
  return (
    <OwnLibrary<Drill>
      testID="drill"
      words={{ title, none, library, add }}
      own={own}
      begin={DRILL_LIBRARY}
      blank={() => ({ ...EMPTY, id: newOwnId() })}
      asOwn={(drill) => drill}
      keep={keepDrills}
      read={(text) => {
        const read = readDrillFile(text);
        return 'faults' in read ? read : { things: read.drills };
      }}
      write={writeDrillFile}
      fileName="drills.json"
      shown={(drill) => <Shown drill={drill} />}
      form={(props) => <DrillForm {...props} />}
    />
  );
}
