/** What one tab tells the others of the same browser. */
export type TabMessage =
  { kind: 'account' } | { kind: 'records'; owner: string } | { kind: 'draft'; owner: string; id: string };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('pedastance');

export const tellTabs = (message: TabMessage): void => channel?.postMessage(message);

/** Hears what other tabs tell; a tab does not hear itself. */
export function hearTabs(heard: (message: TabMessage) => void): void {
  channel?.addEventListener('message', ({ data }: MessageEvent<TabMessage>) => heard(data));
}
