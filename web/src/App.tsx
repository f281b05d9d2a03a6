import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { Desk } from './desk/Desk';
import { Frame } from './frame/Frame';
import { History } from './history/History';
import { listen } from './live/socket';
import { Outside } from './outside/Outside';
import { MeContext, useSession } from './session/session';
import { SignIn } from './session/SignIn';

/** Everything: the sign-in page, or the views of whoever is signed in. */
export function App() {
  const session = useSession();
  const queries = useQueryClient();
  const id = session.me?.id;

  useEffect(() => (id === undefined ? undefined : listen(queries)), [id, queries]);

  if (session.loading) {
    return null;
  }
  if (!session.me) {
    return <SignIn signedOut={session.signedOut} unreachable={session.unreachable} />;
  }
  return (
    <MeContext value={session.me}>
      <Frame>
        <Routes>
          <Route path="/desk" element={<Desk />} />
          <Route path="/history" element={<History />} />
          {session.me.standIns && <Route path="/outside" element={<Outside />} />}
          <Route path="*" element={<Navigate to="/desk" replace />} />
        </Routes>
      </Frame>
    </MeContext>
  );
}
