import { sentence } from '../api/client';
import { notify } from './store';

/** Waits for a request and says whether it was carried out; a refusal is told as a notice. */
export async function attempt(request: Promise<unknown>): Promise<boolean> {
  try {
    await request;
    return true;
  } catch (error) {
    notify('problem', { sentence: sentence(error) });
    return false;
  }
}
