const CHUNK = 0x8000;

/** Bytes as base64 (RFC 4648, section 4). */
export function toBase64(bytes: Uint8Array): string {
  let letters = '';
  for (let at = 0; at < bytes.length; at += CHUNK)
    letters += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(letters);
}

/** Base64 as bytes. */
export const fromBase64 = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
