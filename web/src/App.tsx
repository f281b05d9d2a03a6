import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect } from 'react';
import { Redirect, Route, Switch } from 'wouter';
import { Desk } from './desk/Desk';
import { Frame } from './shell/Frame';
import { listen } from './live/socket';
import { everything } from './shell/topics';
import { MeContext, useSession } from './session/session';

/** Other views than the desk load when they are opened: whoever answers a call waits for none of them. */
const History = lazy(() => import('./history/History').then((view) => ({ default: view.History })));
const Recordings = lazy(() =>
  import('./recordings/Recordings').then((view) => ({ default: view.Recordings })),
);
const Voicemail = lazy(() =>
  import('./voicemail/Voicemail').then((view) => ({ default: view.Voicemail })),
);
const FollowUps = lazy(() =>
  import('./followup/FollowUps').then((view) => ({ default: view.FollowUps })),
);
const Contacts = lazy(() =>
  import('./contacts/Contacts').then((view) => ({ default: view.Contacts })),
);
const CallRules = lazy(() =>
  import('./rules/CallRules').then((view) => ({ default: view.CallRules })),
);
const Queues = lazy(() => import('./queues/Queues').then((view) => ({ default: view.Queues })));
const Office = lazy(() => import('./office/Office').then((view) => ({ default: view.Office })));
const FirstFactor = lazy(() =>
  import('./session/FirstFactor').then((view) => ({ default: view.FirstFactor })),
);
const FirstPassword = lazy(() =>
  import('./session/FirstPassword').then((it) => ({ default: it.FirstPassword })),
);
const NewPassword = lazy(() =>
  import('./session/NewPassword').then((view) => ({ default: view.NewPassword })),
);
const SignIn = lazy(() => import('./session/SignIn').then((view) => ({ default: view.SignIn })));
const Outside = lazy(() => import('./outside/Outside').then((view) => ({ default: view.Outside })));

/** Everything: the sign-in page, or the views of whoever is signed in. */
export function App() {
  const session = useSession();
  const queries = useQueryClient();
  const owing = session.me?.mustChangePassword || session.me?.mustAddFactor;
  const id = owing ? undefined : session.me?.id;

  useEffect(() => (id === undefined ? undefined : listen(everything(queries))), [id, queries]);

  if (session.loading) {
    return null;
  }
  if (window.location.pathname === '/new-password') {
    return (
      <Suspense>
        <NewPassword />
      </Suspense>
    );
  }
  if (!session.me) {
    return (
      <Suspense>
        <SignIn signedOut={session.signedOut} unreachable={session.unreachable} />
      </Suspense>
    );
  }
  if (session.me.mustChangePassword) {
    return (
      <Suspense>
        <FirstPassword />
      </Suspense>
    );
  }
  if (session.me.mustAddFactor) {
    return (
      <Suspense>
        <FirstFactor />
      </Suspense>
    );
  }
  return (
    <MeContext value={session.me}>
      <Frame>
        <Suspense>
          <Switch>
            <Route path="/desk" component={Desk} />
            <Route path="/history" component={History} />
            <Route path="/history/recordings" component={Recordings} />
            <Route path="/history/follow-ups" component={FollowUps} />
            <Route path="/voicemail" component={Voicemail} />
            <Route path="/contacts" component={Contacts} />
            <Route path="/queues" component={Queues} />
            <Route path="/rules" component={CallRules} />
            {session.me.role === 'administrator' && <Route path="/office" component={Office} />}
            {session.me.standIns && <Route path="/outside" component={Outside} />}
            <Redirect to="/desk" replace />
          </Switch>
        </Suspense>
      </Frame>
    </MeContext>
  );
}
