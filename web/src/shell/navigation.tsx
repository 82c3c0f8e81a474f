import type { ReactNode } from 'react';

/** A screen of the main navigation. */
export interface Place {
  readonly to: string;
  readonly word: string;
  readonly icon: ReactNode;
  /** stands at the foot of a phone; the others are under More there */
  readonly isAtFoot?: boolean;
}

/** The screens of the main navigation, in the order of a working day. Icons are ours, drawn on a 24 × 24 ground. */
export const NAVIGATION: readonly Place[] = [
  {
    to: '/',
    word: 'Today',
    isAtFoot: true,
    icon: <path d="M4 6h16M4 12h10M4 18h13M19 11l2 2-4 4" />,
  },
  {
    to: '/round',
    word: 'Round',
    isAtFoot: true,
    icon: (
      <>
        <circle cx="12" cy="13" r="8" />
        <path d="M12 13l4-4M9 2h6" />
      </>
    ),
  },
  {
    to: '/fleet',
    word: 'Fleet',
    isAtFoot: true,
    icon: (
      <>
        <circle cx="7" cy="17" r="3.5" />
        <circle cx="18" cy="18" r="2.5" />
        <path d="M3 13l2-6h7l2 6h7v3" />
      </>
    ),
  },
  {
    to: '/defects',
    word: 'Defects',
    isAtFoot: true,
    icon: <path d="M5 21V4h9l-1 3 6 1v8h-8l-1-3H5M15 10v3M15 14.6v.4" />,
  },
  {
    to: '/season',
    word: 'Season',
    icon: <path d="M4 6v12M20 6v12M4 9h9M8 15h12M9 7v4M16 13v4" />,
  },
  {
    to: '/shelf',
    word: 'Shelf',
    isAtFoot: true,
    icon: <path d="M3 10h18M3 20h18M5 10V4h5v6M13 10V6h5v4M6 20v-5h4v5M13 20v-7h6v7" />,
  },
  { to: '/bench', word: 'Bench', icon: <path d="M3 9h18M5 9v11M19 9v11M8 9V4h5v5M16 5l3 3" /> },
  { to: '/records', word: 'Records', icon: <path d="M6 3h9l4 4v14H6zM9 11h7M9 15h7" /> },
  {
    to: '/setup',
    word: 'Setup',
    icon: (
      <>
        <path d="M4 7h10M18 7h2M4 17h2M10 17h10" />
        <circle cx="16" cy="7" r="2" />
        <circle cx="8" cy="17" r="2" />
      </>
    ),
  },
];

/** More: what has no place at the foot of a phone, and what is the person's own. */
export const MORE_ICON = <path d="M4 7h16M4 12h16M4 17h16" />;
/** The person who is signed in. */
export const PERSON_ICON = (
  <>
    <circle cx="12" cy="8" r="4" />
    <path d="M4 20c1-5 4-6 8-6s7 1 8 6" />
  </>
);
