import { Link } from 'expo-router';
import { Body } from '../ui/Words';
import type { Trial } from '../domain/trials';
import { messages } from './TrialLink.messages';

/** The way to a trial's own page. */
export function TrialLink({ trial }: { trial: Trial }) {
  return (
    <Link href={`/students/${trial.entry.studentId}/trial/${trial.entry.id}`} className="min-h-[48px] py-3">
      <Body tone="lagoon" className="font-semibold underline">
        {messages.whatTheShotsSaid}
      </Body>
    </Link>
  );
}
