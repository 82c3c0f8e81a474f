import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import type { ChooseUnitsDto, SessionDto } from '@yugator/contracts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { sentenceOf } from '../api/problem.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { useSignOut } from '../session/useSignOut.js';
import { useOutbox } from '../outbox/useOutbox.js';
import { ROLE_WORDS } from '../people/roleWords.js';
import { LeaveQuestion } from './LeaveQuestion.js';
import { MORE_ICON, NAVIGATION, PERSON_ICON } from './navigation.js';
import styles from './shell.module.css';

const SCHEMES = [
  ['light', 'Light'],
  ['dark', 'Dark'],
  ['system', 'As the device'],
] as const;

const UNITS = [
  [null, 'Units of the site'],
  ['metric', 'Litres, N·m, kPa'],
  ['us', 'Quarts, lbf·ft, psi'],
] as const;

const ABOVE = { vertical: 'top', horizontal: 'right' } as const;
const FROM_BELOW = { vertical: 'bottom', horizontal: 'right' } as const;
const BESIDE = { vertical: 'bottom', horizontal: 'right' } as const;
const FROM_FOOT = { vertical: 'bottom', horizontal: 'left' } as const;

interface Props {
  /** there, the screens that have no place at the foot stand here */
  readonly isPhone: boolean;
}

/** Who is signed in, the choice of light or dark, and the way out; on a phone the other screens too. */
export function MoreMenu({ isPhone }: Props) {
  const { person, site, ownUnits, atShed } = useSession();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { mode, setMode } = useColorScheme();
  const [isAsking, setAsking] = useState(false);
  const waits = useOutbox().length > 0;
  const signOut = useSignOut();
  const navigate = useNavigate();
  const say = useNotice();
  const chooseUnits = useWrite<SessionDto, ChooseUnitsDto>(
    (body) => ({ method: 'PUT', path: '/session/units', body }),
    ['people'],
  );
  const go = (to: string) => {
    setAnchor(null);
    void navigate(to);
  };
  const leave = () => {
    setAnchor(null);
    if (waits) setAsking(true);
    else signOut();
  };
  return (
    <>
      <button
        type="button"
        className={styles.more}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <svg viewBox="0 0 24 24" aria-hidden>
          {isPhone ? MORE_ICON : PERSON_ICON}
        </svg>
        {isPhone ? 'More' : person.name}
      </button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        // A notice stands at the same foot of a phone, and would cover its last lines.
        sx={({ zIndex }) => ({ zIndex: zIndex.snackbar + 1 })}
        anchorOrigin={isPhone ? ABOVE : BESIDE}
        transformOrigin={isPhone ? FROM_BELOW : FROM_FOOT}
      >
        {isPhone
          ? NAVIGATION.filter(({ isAtFoot }) => !isAtFoot).map(({ to, word }) => (
              <MenuItem key={to} onClick={() => go(to)}>
                {word}
              </MenuItem>
            ))
          : null}
        {isPhone ? <Divider /> : null}
        <ListSubheader sx={{ lineHeight: 1.5, py: 1, bgcolor: 'transparent' }}>
          {isPhone ? `${person.name}, ` : ''}
          {ROLE_WORDS[person.role]}, {site.name}
        </ListSubheader>
        <Divider />
        {SCHEMES.map(([scheme, word]) => (
          <MenuItem key={scheme} selected={mode === scheme} onClick={() => setMode(scheme)}>
            {word}
          </MenuItem>
        ))}
        <Divider />
        {UNITS.map(([system, word]) => (
          <MenuItem
            key={word}
            selected={ownUnits === system}
            onClick={() =>
              chooseUnits.mutate({ unitSystem: system }, { onError: (error) => say(sentenceOf(error)) })
            }
          >
            {word}
          </MenuItem>
        ))}
        <Divider />
        {atShed === null ? <MenuItem onClick={() => go('/account')}>Your sign-in</MenuItem> : null}
        <MenuItem onClick={leave}>Sign out</MenuItem>
      </Menu>
      <LeaveQuestion
        open={isAsking}
        onStay={() => setAsking(false)}
        onLeave={() => {
          setAsking(false);
          signOut();
        }}
      />
    </>
  );
}
