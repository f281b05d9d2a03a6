import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { loadProblems } from './api/client';
import './shell/theme';
import './styles.css';
import { claimDevice } from './live/device';
import './words';

const queries = new QueryClient({
  defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false, networkMode: 'always' } },
});

/** The simulated desk telephone is a window of its own, in which nobody is signed in. */
async function phone(): Promise<ReactNode> {
  const { DeskPhone } = await import('./phone/DeskPhone');
  return <DeskPhone />;
}

async function application(): Promise<ReactNode> {
  await claimDevice();
  return (
    <QueryClientProvider client={queries}>
      <App />
    </QueryClientProvider>
  );
}

/** Waits in a function and not at the top: what is loaded meanwhile waits for all that stands there. */
async function show() {
  const page = await (location.pathname === '/phone' ? phone() : application());
  createRoot(document.getElementById('root') as HTMLElement).render(
    <StrictMode>{page}</StrictMode>,
  );
}

void loadProblems();
void show();
