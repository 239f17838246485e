import { useState } from 'react';
import { frameLaterWords } from '#words/screens/frameLater';
import { sayError, useSignInMutation } from '../data/kitchenApi';
import { store } from '../sync/store';
import { sync } from '../sync/sync';
import { signedIn } from '../sync/workSlice';
import { Button } from '../ui/Button';

/** Asked of visitors from beyond the machine; what they typed before waits in their browser. */
export function SignIn() {
  const [passcode, setPasscode] = useState('');
  const [signIn, signing] = useSignInMutation();
  return (
    <form
      className="card mx-auto mt-16 grid max-w-sm gap-3 p-6"
      onSubmit={(event) => {
        event.preventDefault();
        void signIn(passcode)
          .unwrap()
          .then(
            () => {
              store.dispatch(signedIn());
              sync.wake();
            },
            () => {
              setPasscode('');
            },
          );
      }}
    >
      <h1 className="font-name text-xl font-bold">{frameLaterWords.thisKitchenAsksForA}</h1>
      <label className="grid gap-1 font-semibold">
        {frameLaterWords.passcode}
        <input
          autoFocus
          type="password"
          autoComplete="current-password"
          className="field font-normal"
          maxLength={200}
          value={passcode}
          aria-invalid={signing.isError}
          onChange={(event) => {
            setPasscode(event.target.value);
          }}
        />
      </label>
      <p role="alert" className="min-h-5 text-sm text-acid-ink">
        {signing.isError ? sayError(signing.error) : ''}
      </p>
      <Button kind="main" type="submit" disabled={!passcode || signing.isLoading}>
        {frameLaterWords.comeIn}
      </Button>
    </form>
  );
}
