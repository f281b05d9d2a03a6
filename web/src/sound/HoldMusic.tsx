import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, putFile, sentence } from '../api/client';
import type { HoldMusicView } from '../api/types';
import { useMe } from '../session/session';

const KEY = ['hold-music'];

/** For administrators: the music that waiting callers hear, of the office or of one line. */
export function HoldMusic({ line }: { line?: number }) {
  const { t } = useTranslation();
  const id = useId();
  const administrator = useMe().role === 'administrator';
  const queries = useQueryClient();
  const [error, setError] = useState('');
  const { data } = useQuery({
    queryKey: [...KEY, line],
    queryFn: () => get<HoldMusicView>(`/api/office/hold-music${line ? `?line=${line}` : ''}`),
    enabled: administrator,
  });
  if (!administrator) {
    return null;
  }

  async function change(request: Promise<unknown>) {
    setError('');
    try {
      await request;
    } catch (problem) {
      setError(sentence(problem));
    }
    await queries.invalidateQueries({ queryKey: KEY });
  }

  return (
    <div>
      <h4 className="mb-1">{t('sound.music')}</h4>
      <p className="quiet mb-1">
        {data?.name
          ? t('sound.musicIs', { name: data.name })
          : t(line ? 'sound.musicOffice' : 'sound.musicOurs')}
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <label htmlFor={id} className="btn btn-plain has-focus-visible:outline-2">
          {t('sound.upload')}
          <input
            id={id}
            type="file"
            accept="audio/wav,.wav"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) {
                void change(
                  putFile(
                    `/api/office/hold-music?name=${encodeURIComponent(file.name)}${line ? `&line=${line}` : ''}`,
                    file,
                    'audio/wav',
                  ),
                );
              }
            }}
          />
        </label>
        {data?.name && (
          <button
            type="button"
            className="btn btn-plain"
            onClick={() => void change(del(`/api/office/hold-music${line ? `?line=${line}` : ''}`))}
          >
            {t(line ? 'sound.musicOfficeBack' : 'sound.musicBack')}
          </button>
        )}
      </div>
      <div role="alert">{error && <p className="text-error pt-1 font-semibold">{error}</p>}</div>
    </div>
  );
}
