import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { useSession } from '../session/useSession.js';
import { useSignOut } from '../session/useSignOut.js';
import styles from './shell.module.css';

/** Who walked away from a device of the shed is out before the next person reads on. */
const UNTOUCHED_MS = 5 * 60_000;
const TOUCHES = ['pointerdown', 'keydown', 'scroll'] as const;

/** At a device of the shed: who is in, the way out, and out by itself when nobody touches it. */
export function AtShed() {
  const { person, atShed } = useSession();
  const signOut = useSignOut();
  const out = useRef(signOut);
  useEffect(() => {
    out.current = signOut;
  });
  useEffect(() => {
    if (atShed === null) return;
    let timer: ReturnType<typeof setTimeout>;
    const untouched = () => {
      out.current();
      // Without signal nobody gets out: it is tried again.
      timer = setTimeout(untouched, UNTOUCHED_MS);
    };
    const touched = () => {
      clearTimeout(timer);
      timer = setTimeout(untouched, UNTOUCHED_MS);
    };
    touched();
    for (const touch of TOUCHES) window.addEventListener(touch, touched, { passive: true });
    return () => {
      clearTimeout(timer);
      for (const touch of TOUCHES) window.removeEventListener(touch, touched);
    };
  }, [atShed]);
  if (atShed === null) return null;
  return (
    <div className={styles.atShed}>
      <span>
        <b>{person.name}</b> at {atShed}: readings and walk-rounds
      </span>
      <Button size="small" onClick={signOut}>
        I am done
      </Button>
    </div>
  );
}
