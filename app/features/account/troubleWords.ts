import { Refused, ServerAway, ServerFailed } from '../../state/api';
import { messages } from './troubleWords.messages';

/** Why an account's request did not go through, with the field where one is at fault. */
export function troubleWords(error: unknown): string {
  if (error instanceof Refused) {
    const { title, detail, faults } = error.problem;
    const fault = faults?.[0];
    if (fault) return messages.fault(fault.field, fault.expected, fault.found);
    return `${title}. ${detail}`.trim();
  }
  if (error instanceof ServerFailed) return messages.tryAgain(error.problem.title);
  if (error instanceof ServerAway && error.reason) return error.reason;
  return messages.theServerDoesNotAnswer;
}
