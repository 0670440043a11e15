import { Link } from 'expo-router';
import { View } from 'react-native';
import { useAccount } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { Body } from '../../ui/Words';
import { messages } from './StatusStrip.messages';

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
  const accessEnded = useAccount((state) => state.accessEnded);
  const queue = useOutbox((state) => state.queue);
  const away = useRecords((state) => state.serverAway);
  const notKept = useDrafts((state) => state.notKept);
  const refused = queue.filter((queued) => queued.refusal).length;
  const waiting = queue.length - refused;
  if (notKept) return { words: messages.thisDeviceCannotKeep(notKept), trouble: true, href: '/outbox' };
  if (expired && accessEnded)
    return { words: messages.accessEnded(queue.length), trouble: true, href: '/outbox' };
  if (expired) {
    const kept = queue.length > 0 ? messages.keptHereNotSent(queue.length) : messages.nothingIsLost;
    return { words: messages.signedOutByTheServer(kept), trouble: true, href: '/sign-in' };
  }
  if (refused > 0) return { words: messages.refusedHaveALook(refused), trouble: true, href: '/outbox' };
  if (waiting > 0) {
    return {
      words: (away ? messages.waiting : messages.sending)(waiting),
      trouble: false,
      href: '/outbox',
      floats: !away,
    };
  }
  return away ? { words: messages.noConnectionYouCanGo, trouble: false, href: '/outbox' } : null;
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
