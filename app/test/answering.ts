import { CONTRACT_HEADER, CONTRACT_VERSION, LANDED_HEADER } from '@pedastance/contract/wire';

/** An answer as the product's own server gives it; `landed` is the write it answers. */
export function answering(value: unknown, status = 200, landed?: string): Response {
  const headers = new Map<string, string>([[CONTRACT_HEADER, String(CONTRACT_VERSION)]]);
  if (landed) headers.set(LANDED_HEADER, landed);
  return {
    ok: status < 400,
    status,
    headers: { get: (name: string) => headers.get(name) ?? null },
    text: async () => JSON.stringify(value),
  } as unknown as Response;
}
