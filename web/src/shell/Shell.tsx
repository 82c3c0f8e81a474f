import useMediaQuery from '@mui/material/useMediaQuery';
import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { NavLink, Outlet, useLocation, useNavigation } from 'react-router';
import { useLive } from '../live/useLive.js';
import { connectedAt } from '../offline/connectedAt.js';
import { OutboxBar } from '../outbox/OutboxBar.js';
import { ScannerPlace } from '../scanner/ScannerPlace.js';
import { useSending } from '../outbox/useSending.js';
import { Loading } from '../page/Loading.js';
import { sessionQueries } from '../session/sessionQueries.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { AtShed } from './AtShed.js';
import { MoreMenu } from './MoreMenu.js';
import { NAVIGATION } from './navigation.js';
import styles from './shell.module.css';
import { useMidnight } from './useMidnight.js';

/** Puts the reader at the head of a screen that was just opened, or at the heading that its address names. */
function useFocusOnHead(): void {
  const { pathname, hash } = useLocation();
  useEffect(() => {
    const named = hash ? document.getElementById(hash.slice(1)) : null;
    if (named) {
      named.tabIndex = -1;
      named.scrollIntoView();
    } else window.scrollTo(0, 0);
    (named ?? document.querySelector<HTMLElement>('main h1'))?.focus({ preventScroll: true });
  }, [pathname, hash]);
}

/** The frame of every screen: navigation at the side (at the foot on a phone), the screen itself beside it. */
export function Shell() {
  const connected = useLive();
  const { site, today } = useSession();
  const at = connected ? null : connectedAt();
  const seenAt = at === null ? null : momentWords(new Date(at).toISOString(), site.timeZone, today);
  const client = useQueryClient();
  const navigation = useNavigation();
  const isPhone = useMediaQuery('(max-width: 700px)');
  useSending(connected);
  useFocusOnHead();
  useMidnight(() => void client.invalidateQueries({ queryKey: sessionQueries.current().queryKey }));
  return (
    <div className={styles.shell}>
      <a className={styles.skip} href="#main">
        Skip to the page
      </a>
      <nav className={styles.rail} aria-label="Main">
        <div className={styles.mark} aria-hidden>
          Yugator
          <i />
        </div>
        {NAVIGATION.filter(({ isAtFoot }) => isAtFoot || !isPhone).map(({ to, word, icon }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/'}
            className={({ isActive }) => (isActive ? `${styles.on}` : '')}
          >
            <svg viewBox="0 0 24 24" aria-hidden>
              {icon}
            </svg>
            {word}
          </NavLink>
        ))}
        <MoreMenu isPhone={isPhone} />
      </nav>
      <main id="main" className={styles.main} aria-busy={navigation.state === 'loading'}>
        {site.demonstration ? (
          <p className={styles.demonstration}>
            This is a demonstration: machines and people are made up, and everybody knows the passwords.
          </p>
        ) : null}
        {connected ? null : (
          <p className={styles.offline} role="status">
            Not connected. What you see is {seenAt === null ? 'as it was last seen' : `as it stood ${seenAt}`}
            ; readings, walk-rounds, top-ups, defects and ticks are kept here and sent later.
          </p>
        )}
        <AtShed />
        <OutboxBar />
        <ScannerPlace />
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </main>
    </div>
  );
}
