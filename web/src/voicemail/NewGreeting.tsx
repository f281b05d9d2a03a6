import { IconMicrophone, IconPlayerStop } from '@tabler/icons-react';
import { useEffect, useId, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { postForFile, put, putFile, sentence } from '../api/client';
import { useNow } from '../live/now';
import { openMicrophone, stop, whyNot } from '../sound/microphone';
import { useSoundSettings } from '../sound/settings';
import { clockTime } from '../words/time';
import { type Recording, record } from './record';
import { MomentField } from '../words/MomentField';

interface Props {
  address: string;
  /** Whether it can be said until when it counts. */
  ends: boolean;
  onKept: () => void;
}

/** How long one has been speaking. */
function Elapsed() {
  const now = useNow();
  const [began] = useState(now);
  return <span>{clockTime(now - began)}</span>;
}

/** What was made and is only heard so far. */
interface Draft {
  sound: string;
  keep: (until?: string) => Promise<unknown>;
}

/** A greeting is spoken, uploaded, or typed; it is heard before it counts. */
export function NewGreeting({ address, ends, onKept }: Props) {
  const { t } = useTranslation();
  const id = useId();
  const microphone = useSoundSettings((settings) => settings.microphone);
  const [text, setText] = useState('');
  const [until, setUntil] = useState('');
  const [recording, setRecording] = useState<Recording>();
  const [draft, setDraft] = useState<Draft>();
  const [error, setError] = useState('');
  const running = useRef<Recording>(undefined);

  useEffect(() => () => void running.current?.stop(), []);
  useEffect(() => () => void (draft && URL.revokeObjectURL(draft.sound)), [draft]);

  async function attempt(action: () => Promise<void>) {
    setError('');
    try {
      await action();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  async function speak() {
    setDraft(undefined);
    setError('');
    try {
      const stream = await openMicrophone(microphone);
      running.current = record(stream, () => stop(stream));
      setRecording(running.current);
    } catch (problem) {
      setError(t(`sound.trouble.${whyNot(problem)}`));
    }
  }

  async function finish() {
    const file = await recording?.stop();
    setRecording(undefined);
    running.current = undefined;
    if (file) {
      offer(file);
    }
  }

  function offer(file: File) {
    setDraft({
      sound: URL.createObjectURL(file),
      keep: (end) =>
        putFile(
          `${address}/sound${end ? `?until=${encodeURIComponent(end)}` : ''}`,
          file,
          'audio/wav',
        ),
    });
  }

  const type = () =>
    attempt(async () => {
      const sound = await postForFile('/api/greetings/typed', { text });
      setDraft({
        sound: URL.createObjectURL(sound),
        keep: (end) => put(`${address}/typed`, { text, until: end }),
      });
    });

  const keep = () =>
    attempt(async () => {
      await draft?.keep(until ? new Date(until).toISOString() : undefined);
      setDraft((now) => (now === draft ? undefined : now)); // another may have been made meanwhile
      setText('');
      onKept();
    });

  return (
    <section aria-label={t('greeting.another')}>
      <h3 className="mb-2 font-bold">{t('greeting.another')}</h3>
      <div className="flex flex-wrap items-center gap-2">
        {recording ? (
          <button type="button" className="btn btn-error" onClick={() => void finish()}>
            <IconPlayerStop size={18} aria-hidden="true" />
            {t('greeting.stop')}
          </button>
        ) : (
          <button type="button" className="btn btn-plain" onClick={() => void speak()}>
            <IconMicrophone size={18} aria-hidden="true" />
            {t('greeting.speak')}
          </button>
        )}
        {recording && <Elapsed />}
        <label htmlFor={`${id}-file`} className="btn btn-plain has-focus-visible:outline-2">
          {t('greeting.upload')}
          <input
            id={`${id}-file`}
            type="file"
            accept="audio/wav,.wav"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) {
                setError('');
                offer(file);
              }
            }}
          />
        </label>
      </div>
      <label className="mt-3 block">
        {t('greeting.type')}
        <textarea
          rows={3}
          maxLength={1_000}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="input bg-base-100 mt-1 h-auto w-full p-2"
        />
      </label>
      <button
        type="button"
        className="btn btn-sm btn-plain mt-1"
        aria-disabled={text.trim() === ''}
        onClick={() => text.trim() !== '' && void type()}
      >
        {t('greeting.say')}
      </button>
      {ends && (
        <label className="mt-3 block">
          {t('greeting.until')}
          <MomentField moment={until} onChange={setUntil} look="ml-2 w-60" />
        </label>
      )}
      {draft && (
        <div className="border-base-300 mt-4 flex flex-wrap items-center gap-3 border-t pt-3">
          {/* eslint-disable-next-line jsx-a11y/media-has-caption -- whoever made it knows the words */}
          <audio
            controls
            autoPlay
            aria-label={t('greeting.draft')}
            src={draft.sound}
            className="h-9 max-w-full"
          />
          <button type="button" className="btn btn-primary" onClick={() => void keep()}>
            {t('greeting.keep')}
          </button>
          <button type="button" className="btn btn-plain" onClick={() => setDraft(undefined)}>
            {t('greeting.discard')}
          </button>
        </div>
      )}
      <div role="alert">{error && <p className="text-error pt-2 font-semibold">{error}</p>}</div>
    </section>
  );
}
