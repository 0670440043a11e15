import { Link } from 'expo-router';
import { View } from 'react-native';
import { useAccount } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { Body } from '../../ui/Words';

const entries = (count: number): string => (count === 1 ? '1 entry' : `${count} entries`);

interface Standing {
  words: string;
  trouble: boolean;
  href: '/outbox' | '/sign-in';
  /** Over in a moment: it floats over the page, which would otherwise jump under the coach's thumb. */
  floats?: boolean;
}

/** What stands between the device and the server, in one line; nothing when all is sent. */
function useStanding(): Standing | null {
  const expired = useAccount((state) => state.status === 'expired');
  const queue = useOutbox((state) => state.queue);
  const away = useRecords((state) => state.serverAway);
  const notKept = useDrafts((state) => state.notKept);
  const refused = queue.filter((queued) => queued.refusal).length;
  const waiting = queue.length - refused;
  if (notKept)
    return { words: `This device cannot keep the lesson: ${notKept}`, trouble: true, href: '/outbox' };
  if (expired) {
    const kept = queue.length > 0 ? `${entries(queue.length)} kept here, not sent.` : 'Nothing is lost.';
    return { words: `Signed out by the server. ${kept} Sign in again`, trouble: true, href: '/sign-in' };
  }
  if (refused > 0)
    return { words: `${entries(refused)} refused: have a look`, trouble: true, href: '/outbox' };
  if (waiting > 0) {
    return {
      words: `${entries(waiting)} not sent yet, ${away ? 'no connection; trying again' : 'sending'}`,
      trouble: false,
      href: '/outbox',
      floats: !away,
    };
  }
  return away ? { words: 'No connection. You can go on working.', trouble: false, href: '/outbox' } : null;
}

export function StatusStrip() {
  const standing = useStanding();
  return (
    <View role="status" aria-live="polite" testID="status-strip" className="z-10">
      {standing && (
        <Link
          href={standing.href}
          className={`px-4 py-2 ${standing.trouble ? 'bg-rust' : 'bg-straw'} ${standing.floats ? 'pointer-events-none absolute inset-x-0 top-0' : ''}`}
        >
          <Body tone={standing.trouble ? 'paper' : 'on-straw'} className="font-semibold">
            {standing.trouble ? '▲ ' : '◐ '}
            {standing.words}
          </Body>
        </Link>
      )}
    </View>
  );
}
