import { useCallback, useEffect, useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { Problem, loadProblems, sentence } from '../api/client';
import { Mark } from '../ui/Mark';
import { useOnce } from '../live/useOnce';
import { Field } from './Field';
import { OtherWays } from './OtherWays';
import { useSessionActions } from './session';

interface Props {
  signedOut: boolean;
  unreachable: string;
}

/** Why the identity provider's word did not let somebody in, from whom they come back. */
function refusedThere() {
  const code = new URLSearchParams(location.search).get('refused');
  return code ? new Problem(0, code).message : '';
}

/** The page that asks who you are. */
export function SignIn({ signedOut, unreachable }: Props) {
  const { t } = useTranslation();
  const { signIn } = useSessionActions();
  const [error, setError] = useState('');
  const [codeWanted, setCodeWanted] = useState(false);
  useEffect(() => void loadProblems().then(() => setError(refusedThere())), []);
  const submit = useOnce(
    useCallback(
      async (form: HTMLFormElement) => {
        const data = new FormData(form);
        try {
          const code = data.get('code');
          await signIn(
            String(data.get('name')),
            String(data.get('password')),
            code === null ? undefined : String(code),
          );
        } catch (problem) {
          if (problem instanceof Problem && problem.code === 'CODE_WANTED') {
            setCodeWanted(true);
            setError('');
            return;
          }
          setError(sentence(problem));
          const wrong =
            problem instanceof Problem && problem.code === 'WRONG_CODE' ? 'code' : 'password';
          form.querySelector<HTMLInputElement>(`[name=${wrong}]`)?.select();
        }
      },
      [signIn],
    ),
  );
  const message = error || unreachable || (signedOut ? t('trouble.SIGNED_OUT') : '');
  return (
    <main className="grid min-h-dvh grid-rows-[minmax(4rem,24vh)_1fr]">
      <div className="bg-neutral text-neutral-content flex items-end justify-center">
        <div className="w-full max-w-sm px-4">
          <p className="bg-base-200 text-base-content inline-block rounded-t-lg px-5 pt-3 pb-2 text-sm font-semibold">
            {t('signIn.title')}
          </p>
        </div>
      </div>
      <form
        className="mx-auto w-full max-w-sm px-4 pt-8"
        onSubmit={(event: FormEvent<HTMLFormElement>) => {
          event.preventDefault();
          void submit.run(event.currentTarget);
        }}
      >
        <h1 className="mb-6 flex items-center gap-2 text-3xl font-bold">
          <Mark /> {t('product')}
        </h1>
        <Field name="name" label={t('signIn.name')} autoComplete="username" />
        <Field
          name="password"
          label={t('signIn.password')}
          type="password"
          autoComplete="current-password"
        />
        {codeWanted && (
          <Field
            name="code"
            label={t('signIn.code')}
            hint={t('signIn.codeHow')}
            autoComplete="one-time-code"
            focused
          />
        )}
        <div role="alert" className="min-h-14 pb-2">
          {message && <p className="text-error font-semibold">{message}</p>}
        </div>
        <button type="submit" className="btn btn-primary w-full" disabled={submit.busy}>
          {t('signIn.go')}
        </button>
        <OtherWays onRefused={setError} />
      </form>
    </main>
  );
}
