import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { Keypad } from '../dial/Keypad';
import { useKeys } from '../ui/keys';
import { sendDigits } from './services';

/** The keypad of a call, and the digits sent so far. */
export function KeysPanel({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const press = useMemo(() => (digit: string) => void sendDigits(call, digit), [call]);
  useKeys(
    useMemo(
      () =>
        [...'0123456789*#'].map((key) => ({ key, alt: 'without' as const, run: () => press(key) })),
      [press],
    ),
  );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <Keypad onPress={press} row />
      <p>
        <span className="quiet">{t('keypad.sent')}</span>{' '}
        <output className="text-lg font-semibold break-all">
          {call.digits.replaceAll('p', ' ')}
        </output>
      </p>
    </div>
  );
}
