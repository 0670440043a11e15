import { createHash, createSign, generateKeyPairSync, randomBytes, type KeyObject } from 'node:crypto';
import type { NewPasskey, PasskeySignIn } from '@pedastance/contract';
import { encodeCBOR } from '@levischuck/tiny-cbor';

/** Flags of what an authenticator signs (Web Authentication, level 3, section 6.1): present, verified, with a new key. */
const [PRESENT, VERIFIED, NEW_KEY] = [0x01, 0x04, 0x40];

const sha256 = (bytes: string | Buffer): Buffer => createHash('sha256').update(bytes).digest();
const base64url = (bytes: Buffer): string => bytes.toString('base64url');

/** Where a page stands, as a browser tells its authenticator. */
export interface Page {
  origin: string;
  rpId: string;
}

/** A device that makes one passkey and answers with it, as section 6.3 of Web Authentication has it; ES256. */
export class SoftAuthenticator {
  private readonly id = randomBytes(32);
  private readonly keys: { publicKey: KeyObject; privateKey: KeyObject };
  private counter = 0;

  constructor() {
    this.keys = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  }

  private authenticatorData(rpId: string, flags: number, more: Buffer[] = []): Buffer {
    this.counter += 1;
    const counter = Buffer.alloc(4);
    counter.writeUInt32BE(this.counter);
    return Buffer.concat([sha256(rpId), Buffer.from([flags]), counter, ...more]);
  }

  /** The public key as COSE has it (RFC 9053, section 7.1.1): EC2, ES256, P-256, x and y. */
  private publicKey(): Buffer {
    const { x, y } = this.keys.publicKey.export({ format: 'jwk' });
    const cose = new Map<number, number | Uint8Array>([
      [1, 2],
      [3, -7],
      [-1, 1],
      [-2, new Uint8Array(Buffer.from(x!, 'base64url'))],
      [-3, new Uint8Array(Buffer.from(y!, 'base64url'))],
    ]);
    return Buffer.from(encodeCBOR(cose));
  }

  private beside() {
    const id = base64url(this.id);
    return { id, rawId: id, type: 'public-key' as const, clientExtensionResults: {} };
  }

  make(challenge: string, { origin, rpId }: Page): NewPasskey {
    const length = Buffer.alloc(2);
    length.writeUInt16BE(this.id.length);
    const credential = [Buffer.alloc(16), length, this.id, this.publicKey()];
    const authData = this.authenticatorData(rpId, PRESENT! | VERIFIED! | NEW_KEY!, credential);
    const attestation = new Map<string, unknown>([
      ['fmt', 'none'],
      ['attStmt', new Map()],
      ['authData', new Uint8Array(authData)],
    ]);
    return {
      ...this.beside(),
      response: {
        clientDataJSON: base64url(
          Buffer.from(JSON.stringify({ type: 'webauthn.create', challenge, origin })),
        ),
        attestationObject: base64url(Buffer.from(encodeCBOR(attestation as never))),
      },
    };
  }

  answer(challenge: string, { origin, rpId }: Page): PasskeySignIn {
    const clientData = Buffer.from(JSON.stringify({ type: 'webauthn.get', challenge, origin }));
    const authenticatorData = this.authenticatorData(rpId, PRESENT! | VERIFIED!);
    const signature = createSign('sha256')
      .update(Buffer.concat([authenticatorData, sha256(clientData)]))
      .sign(this.keys.privateKey);
    return {
      ...this.beside(),
      response: {
        clientDataJSON: base64url(clientData),
        authenticatorData: base64url(authenticatorData),
        signature: base64url(signature),
      },
    };
  }
}
