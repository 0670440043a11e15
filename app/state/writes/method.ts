import type { HouseMethod, MethodContents } from '@pedastance/core/method';
import { v7 as newId } from 'uuid';
import { post } from '../outbox';

/** Adds a version of a house method: the next of `from`, or the first of a new one. Answers its id. */
export async function saveMethod(contents: MethodContents, from: HouseMethod | null): Promise<string> {
  const methodId = from?.id ?? newId();
  const version = (from?.version ?? 0) + 1;
  const { name, summary, questions } = contents;
  const body = { id: newId(), madeAt: new Date().toISOString(), methodId, version, name, summary, questions };
  await post([
    {
      subjectId: methodId,
      label: `House method “${name}”, version ${version}`,
      writing: { route: 'method', body },
    },
  ]);
  return methodId;
}
