import { Suspense, lazy, type ComponentProps } from 'react';
import type { Panel } from './Panel';

let loaded: typeof Panel | undefined;

/** Has what a call opens beneath its buttons loaded, before anybody wants it. */
export async function loadPanel() {
  const it = await import('./Panel');
  loaded = it.Panel;
  return { default: it.Panel };
}

const Later = lazy(loadPanel);

/** Once it is loaded it opens at once: what is typed after the key that opens it goes into it. */
export function AnyPanel(props: ComponentProps<typeof Panel>) {
  const Now = loaded ?? Later;
  return (
    <Suspense>
      <Now {...props} />
    </Suspense>
  );
}
