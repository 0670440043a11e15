import { useEffect, useState } from 'react';
import { troubleWords } from './troubleWords';

/**
 * The secret of a link that was handed over, and what the server says it is to. It stands behind the link's #, which
 * no browser sends along.
 * @param ask what the server knows of it
 */
export function useLinkCode<To>(ask: (code: string) => Promise<To>) {
  const [code] = useState(() => location.hash.slice(1));
  const [to, setTo] = useState<To | null>(null);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    let asked = true;
    ask(code).then(
      (found) => asked && setTo(found),
      (error: unknown) => asked && setTrouble(troubleWords(error)),
    );
    return () => {
      asked = false;
    };
  }, [code, ask]);
  return { code, to, trouble };
}
