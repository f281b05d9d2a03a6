import { t } from 'i18next';
import type { Me } from './types';

/** A problem document (RFC 9457): a code, and what the sentence speaks of that is made of it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    about: Record<string, string> = {},
  ) {
    super(t([`problem.${code}`, `trouble.${code}`, 'trouble.UNEXPECTED'], about));
  }
}

let sentences: Promise<void> | undefined;

/** The sentences of all problems, which no page needs to begin with. Without a server there are none. */
export function loadProblems(): Promise<void> {
  sentences ??= import('./problems').catch(() => {
    sentences = undefined;
  }) as Promise<void>;
  return sentences;
}

let onSignedOut = () => {};

/** Says what to do when the server no longer knows who is asking. */
export function whenSignedOut(action: () => void) {
  onSignedOut = action;
}

let onOwed = () => {};

/** Says what to do when somebody has to set something up before anything else. */
export function whenOwed(action: () => void) {
  onOwed = action;
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((each) => each.startsWith(name + '='));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

async function request<T>(
  method: string,
  path: string,
  body?: BodyInit,
  type = 'application/json',
): Promise<T> {
  const response = await send(method, path, body, type);
  const text = await response.text();
  return (text ? JSON.parse(text) : undefined) as T;
}

/** The answer, which says that it was done; otherwise there is a problem. */
async function send(
  method: string,
  path: string,
  body?: BodyInit,
  type = 'application/json',
): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': type }),
        ...(method === 'GET'
          ? {}
          : {
              'X-XSRF-TOKEN': cookie('__Host-XSRF-TOKEN') || cookie('XSRF-TOKEN'),
              // However often it arrives, it counts once.
              'Idempotency-Key': crypto.randomUUID(),
            }),
      },
      body,
    });
  } catch {
    throw new Problem(0, 'OFFLINE');
  }
  if (response.ok) {
    return response;
  }
  const problem = await asProblem(response, await response.text());
  if (problem.code === 'SIGNED_OUT') {
    onSignedOut();
  } else if (problem.code === 'SECOND_FACTOR_MUST_BE_SET_UP') {
    onOwed();
  }
  throw problem;
}

async function asProblem(response: Response, text: string): Promise<Problem> {
  await loadProblems();
  try {
    const { code, about } = JSON.parse(text) as { code: string; about?: Record<string, string> };
    return new Problem(response.status, code, about);
  } catch {
    return new Problem(response.status, 'UNEXPECTED');
  }
}

export const get = <T>(path: string) => request<T>('GET', path);
/** Who is signed in here; null when nobody is. */
export async function whoIsSignedIn(): Promise<Me | null> {
  const me = await get<Me | undefined>('/api/session');
  if (!me) {
    onSignedOut();
  }
  return me ?? null;
}

const json = (body: unknown) => JSON.stringify(body);

export const post = <T = void>(path: string, body: unknown = {}) =>
  request<T>('POST', path, json(body));
export const put = <T = void>(path: string, body: unknown = {}) =>
  request<T>('PUT', path, json(body));
/** What is sent back is a file. */
export const postForFile = async (path: string, body: unknown) =>
  (await send('POST', path, json(body))).blob();
/** Puts a file where it belongs. */
export const putFile = <T = void>(path: string, file: Blob, type: string) =>
  request<T>('PUT', path, file, type);
export const del = <T = void>(path: string) => request<T>('DELETE', path);

/** What to tell a person of an error, whatever it is. */
export function sentence(error: unknown): string {
  return error instanceof Problem ? error.message : t('trouble.UNEXPECTED');
}
