import { post } from '../api/client';
import type { Me } from '../api/types';

const PASSKEYS = '/api/session/passkeys';

/** Whether this browser makes and shows passkeys here: they hold at a name, at an address there are none. */
export const passkeysWork =
  window.isSecureContext &&
  typeof PublicKeyCredential === 'function' &&
  'parseCreationOptionsFromJSON' in PublicKeyCredential &&
  !/^[\d.]+$|^\[/.test(location.hostname);

/** The device made or showed none: its person changed their mind, or it has none for this office. */
export class NotShown extends Error {}

/** What a device answers. Whatever keeps it from answering is the same for whoever waits for it. */
async function answered(asking: Promise<Credential | null>) {
  const answer = (await asking.catch(() => null)) as PublicKeyCredential | null;
  if (!answer) {
    throw new NotShown();
  }
  return answer.toJSON() as unknown;
}

/**
 * Has this device, or another one, make a passkey.
 *
 * @param present my password, as proof
 * @param name to know it again by
 */
export async function makePasskey(present: string, name: string) {
  const wanted = await post<PublicKeyCredentialCreationOptionsJSON>(`${PASSKEYS}/begin`, {
    present,
  });
  const publicKey = PublicKeyCredential.parseCreationOptionsFromJSON(wanted);
  const answer = await answered(navigator.credentials.create({ publicKey }));
  await post(PASSKEYS, { name, answer });
}

/** Signs in whoever a device shows a passkey for. */
export async function showPasskey(): Promise<Me> {
  const wanted = await post<PublicKeyCredentialRequestOptionsJSON>(`${PASSKEYS}/asked`);
  const publicKey = PublicKeyCredential.parseRequestOptionsFromJSON(wanted);
  const answer = await answered(navigator.credentials.get({ publicKey }));
  return post<Me>('/api/session/passkey', { challenge: wanted.challenge, answer });
}
