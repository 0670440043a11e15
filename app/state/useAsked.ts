import { useCallback, useEffect, useState } from 'react';
import { common } from '../domain/common.messages';
import { Refused, ServerAway } from './api';

/** Why something that the server does was not done. */
export function troubleOf(error: unknown): string {
  if (error instanceof Refused) {
    const { title, detail, faults } = error.problem;
    const fault = faults?.[0];
    return fault ? `Expected ${fault.expected}, found ${fault.found}.` : `${title}. ${detail}`.trim();
  }
  if (error instanceof ServerAway) return common.needsServer;
  return (error as Error).message;
}

/** Something that the server alone knows, with how to ask again after a change, and what went wrong. */
export function useAsked<Value>(ask: () => Promise<Value>) {
  const [value, setValue] = useState<Value | null>(null);
  const [trouble, setTrouble] = useState('');
  const again = useCallback(
    () =>
      ask().then(
        (found) => {
          setValue(found);
          setTrouble('');
        },
        (error: unknown) => setTrouble(troubleOf(error)),
      ),
    [ask],
  );
  useEffect(() => void again(), [again]);
  /** Does something and looks again; what went wrong is told. */
  const doing = async (work: () => Promise<unknown>): Promise<boolean> => {
    try {
      await work();
      await again();
      return true;
    } catch (error) {
      setTrouble(troubleOf(error));
      return false;
    }
  };
  return { value, trouble, doing };
}
