import { del, get, post, put } from '../api/client';
import type { RecordingOpened, RecordingPolicy, RecordingView, RecordingsPage } from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';

const KEY = 'recordings';

/** What the office says of recordings. */
export const recordingPolicy = {
  queryKey: [KEY, 'policy'],
  queryFn: () => get<RecordingPolicy>('/api/recording-policy'),
};

export const allRecordings = {
  queryKey: [KEY, 'page'],
  queryFn: ({ pageParam }: { pageParam: string }) =>
    get<RecordingsPage>(`/api/recordings?${new URLSearchParams({ before: pageParam })}`),
  initialPageParam: '',
  getNextPageParam: (last: RecordingsPage) => last.next ?? undefined,
};

export const recordingsOf = (call: string) => ({
  queryKey: [KEY, 'call', call],
  queryFn: () => get<RecordingView[]>(`/api/recordings/of-call/${encodeURIComponent(call)}`),
});

export const recording = (id: number) => ({
  queryKey: [KEY, 'one', id],
  queryFn: () => get<RecordingOpened>(`/api/recordings/${id}`),
});

export const changePolicy = (policy: RecordingPolicy) =>
  put('/api/office/recording-policy', policy);

/** How many recordings would go if they were kept for so many days. */
export const wouldGo = (days: number) => ({
  queryKey: [KEY, 'would', days],
  queryFn: () => get<{ recordings: number }>(`/api/office/recording-policy/tried?days=${days}`),
});

export const noteOf = (id: number, text: string) => put(`/api/recordings/${id}/note`, { text });

export const remark = (id: number, at: number, text: string) =>
  post(`/api/recordings/${id}/remarks`, { at: Math.round(at), text });

export const removeRemark = (id: number, which: number) =>
  attempt(del(`/api/recordings/${id}/remarks/${which}`));

export const transcribe = (id: number) => attempt(post(`/api/recordings/${id}/transcript`));

export const keepUntil = (id: number, until?: string) =>
  attempt(post(`/api/recordings/${id}/keep`, { until }));

export const handOn = (id: number, person: number, until: string) =>
  post(`/api/recordings/${id}/hand`, { person, until });

export const takeBack = (id: number, person: number) =>
  attempt(del(`/api/recordings/${id}/hand/${person}`));

/** Removes a recording; a notice brings it back. */
export async function remove(id: number) {
  if (await attempt(post(`/api/recordings/${id}/remove`))) {
    notify('recordingRemoved', {}, () => void attempt(post(`/api/recordings/${id}/restore`)));
  }
}
