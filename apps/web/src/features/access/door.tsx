import { lazy, type ReactNode, Suspense, useState } from 'react';
import { useSession } from '../../api/access-queries.js';

// Most shops have no account: what is needed to sign in is fetched where somebody has to.
const SignIn = lazy(async () => ({ default: (await import('./sign-in.js')).SignIn }));

/** Lets in who may come in. Somebody who is signed out meanwhile signs in over what stands there, and nothing of it is lost. */
export function Door({ children }: { readonly children: ReactNode }) {
  const { data: session, isPending, failureCount } = useSession();
  const [wasIn, setWasIn] = useState(false);
  const isOut = session !== undefined && !session.isOpen && session.who === null;
  if (session && !isOut && !wasIn) setWasIn(true);
  // Without a signal nobody can be asked, and what this device has kept is shown.
  if (isPending && failureCount === 0) return null;
  if (isOut && !wasIn)
    return (
      <Suspense>
        <SignIn />
      </Suspense>
    );
  return (
    <>
      <div inert={isOut}>{children}</div>
      {isOut && (
        <Suspense>
          <SignIn isOver />
        </Suspense>
      )}
    </>
  );
}
