/**
 * A chance in words.
 * @param chance 0 to 1
 * @returns unlikely, an even chance, likely or almost sure
 * @example chanceWords(0.74) // 'likely'
 */
export function chanceWords(chance: number): 'unlikely' | 'an even chance' | 'likely' | 'almost sure' {
  if (chance < 0.4) return 'unlikely';
  if (chance <= 0.6) return 'an even chance';
  return chance <= 0.9 ? 'likely' : 'almost sure';
}
