import type { CardEntry, ChangeEntry } from '@pedastance/contract';
import { proposeCard, type Agreement, type CardStudent } from '@pedastance/core/card';
import { daysAfter } from '@pedastance/core/units';
import type { Client } from 'pg';
import { tickRow } from '../store/cards';
import { addEntry } from '../store/lessons';
import { insertRow, type Writer } from '../store/rows';
import { idAt } from './ids';

const ROUNDS_A_DAY = 4;
const EVENING = 'T18:30:00Z';

interface Made {
  client: Client;
  land: Writer;
  student: CardStudent;
  entry: Pick<CardEntry, 'id' | 'lessonId' | 'madeAt' | 'replaces'>;
}

/** The card of what a demo lesson agreed on, as it is proposed, and the days on which it was ticked. */
export async function addDemoCard(
  { client, land, student, entry }: Made,
  change: ChangeEntry,
  agreement: Pick<Agreement, 'club' | 'shot' | 'method' | 'from' | 'agreed' | 'cameFor' | 'sport'>,
  ticked: readonly number[] = [],
): Promise<void> {
  const today = entry.madeAt.slice(0, 10);
  const draft = proposeCard({ student, ...agreement, stops: [], pattern: null, looks: [], today });
  const card: CardEntry = { ...entry, kind: 'card', changeId: change.id, ...draft };
  const { studentId } = await addEntry(client, card, land);
  for (const days of ticked) {
    const on = daysAfter(today, days);
    const at = new Date(`${on}${EVENING}`);
    const tick = {
      id: idAt(at),
      studentId,
      cardId: card.id,
      on,
      rounds: ROUNDS_A_DAY,
      hurts: false,
      takesBack: false,
      rung: null,
    };
    await insertRow(client, 'card_tick', tickRow(tick, land.academyId, at.toISOString()));
  }
}
