import { useQuery } from '@tanstack/react-query';
import { del, get, post, put, putFile } from '../api/client';
import type { SpeedDialKey, SpeedDialView } from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';

const KEY = 'speed-dials';

export const PATH = '/api/speed-dials';

/** My keys in their order; undefined until they are known. */
export const useSpeedDials = () =>
  useQuery({ queryKey: [KEY], queryFn: () => get<SpeedDialView[]>(PATH) }).data;

export const keyOf = ({ id, page, label, kind, of, number }: SpeedDialView): SpeedDialKey => ({
  id: Math.max(0, id), // those below are not there yet
  page,
  label,
  kind,
  of,
  number,
});

export const keep = (keys: SpeedDialKey[]) => put(PATH, { keys });

/** What a key can be made for. */
export type For = Pick<SpeedDialKey, 'kind' | 'of'> & { number?: string; name: string };

/** Makes a key at the end of the first page; a notice takes it away again. */
export async function addKey({ kind, of, number = '', name }: For) {
  const key: SpeedDialKey = { id: 0, page: 1, label: '', kind, of, number };
  let id = 0;
  const added = post<{ id: number }>(PATH, key).then((answer) => {
    id = answer.id;
  });
  if (await attempt(added)) {
    notify('keyAdded', { name }, () => void attempt(del(`${PATH}/${id}`)));
  }
}

/** Gives a key a picture of its own, or takes it away. */
export const setPicture = (id: number, picture: File | undefined) =>
  picture ? putFile(`${PATH}/${id}/picture`, picture, picture.type) : del(`${PATH}/${id}/picture`);
