import type { MonitorShot } from '@pedastance/contract';
import { useEffect, useRef, useState } from 'react';

export type Line = 'connecting' | 'open' | 'lost';

/**
 * Listens to the launch monitor's session. The browser comes back by itself after a lost line and goes
 * on after the last shot it heard; a page opened anew hears the session from its beginning. Whoever
 * hears a shot has to know whether it is kept already.
 */
export function useMonitor(sessionId: string | null, heard: (shot: MonitorShot) => void): Line {
  const [line, setLine] = useState<Line>('connecting');
  const tell = useRef(heard);
  useEffect(() => {
    tell.current = heard;
  }, [heard]);
  useEffect(() => {
    if (!sessionId) return;
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    let last = 0;
    const listen = () => {
      source = new EventSource(`/api/stand-in/${sessionId}/shots?after=${last}`);
      source.onopen = () => setLine('open');
      source.onerror = () => {
        setLine('lost');
        // Refused outright, the browser does not come back by itself.
        if (source?.readyState !== EventSource.CLOSED) return;
        again = setTimeout(listen, 2000);
      };
      source.addEventListener('shot', ({ data }: MessageEvent<string>) => {
        const shot = JSON.parse(data) as MonitorShot;
        last = Math.max(last, shot.number);
        tell.current(shot);
      });
    };
    listen();
    return () => {
      clearTimeout(again);
      source?.close();
    };
  }, [sessionId]);
  return line;
}
