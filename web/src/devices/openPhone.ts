import { post } from '../api/client';
import type { PhoneSecret } from '../api/types';
import { attempt } from '../notices/attempt';

/** So large is the telephone. */
const LOOK = 'popup,width=780,height=590';

/**
 * Opens a simulated desk phone in a window of its own.
 *
 * @param owner whose it is; mine when absent
 */
export async function openPhone(owner?: number) {
  // At once: a browser lets a window open only while somebody clicks.
  const opened = window.open('about:blank', `oficina-phone-${owner ?? 'mine'}`, LOOK);
  await attempt(
    post<PhoneSecret>(`/api/devices/phone${owner === undefined ? '' : `/${owner}`}`).then(
      ({ secret }) => {
        if (opened) {
          opened.sessionStorage.removeItem('oficina-phone');
          opened.location.href = `/phone#${secret}`;
        }
      },
    ),
  );
}
