import type { LookAnswer, LookKey } from '@yugator/core';
import type { ReactNode } from 'react';

const INK = 'currentColor';

/** How dark and how broken a part is drawn, by what is seen. */
const DARKNESS: Record<string, number> = {
  clean: 0.06,
  dusty: 0.3,
  dark: 0.85,
  torn: 0.2,
  oily: 0.7,
  nest: 0.4,
  tan: 0.25,
  sooty: 0.9,
  worn: 0.25,
  white: 0.02,
  cracked: 0.2,
  brown: 0.4,
  low: 0.4,
  milky: 0.08,
  metallic: 0.5,
  fuel: 0.2,
  sharp: 0.1,
  dull: 0.3,
  bent: 0.1,
  good: 0.15,
  glazed: 0.6,
  clear: 0.05,
  dirt: 0.5,
  water: 0.1,
  tight: 0.1,
  play: 0.1,
  cut: 0.3,
  damp: 0.3,
  chafed: 0.4,
  foamy: 0.06,
  burnt: 0.9,
  atHole: 0.3,
  rusty: 0.5,
};
const BROKEN = new Set(['torn', 'nest', 'cracked', 'bent', 'play', 'cut', 'chafed', 'worn']);

function pleats(shade: number, isBroken: boolean): ReactNode {
  return (
    <>
      <path d="M6 6h44v28H6z" fill={INK} fillOpacity={shade} stroke={INK} strokeWidth="1.8" />
      <path d="M13 6v28M20 6v28M27 6v28M34 6v28M41 6v28" stroke={INK} strokeWidth="1" />
      {isBroken ? <path d="M24 4l6 12-8 6 7 14" stroke="var(--late)" strokeWidth="2.6" fill="none" /> : null}
    </>
  );
}

function plug(shade: number, isBroken: boolean): ReactNode {
  return (
    <>
      <path d="M18 2h20v12H18z" fill="none" stroke={INK} strokeWidth="1.8" />
      <path d="M23 14h10v10H23z" fill={INK} fillOpacity={shade} stroke={INK} strokeWidth="1.8" />
      <path d={isBroken ? 'M28 24v5' : 'M28 24v8'} stroke={INK} strokeWidth={isBroken ? 5 : 3} />
      <path d="M18 14v24h13" fill="none" stroke={INK} strokeWidth="2.4" />
    </>
  );
}

function dipstick(shade: number, key: string): ReactNode {
  const top = key === 'low' ? 30 : 14;
  return (
    <>
      <path d="M24 2h8v36h-8z" fill="none" stroke={INK} strokeWidth="1.8" />
      <path d={`M24 ${top}h8V38h-8z`} fill={INK} fillOpacity={Math.max(0.12, shade)} />
      <path d="M18 12h20M18 28h20" stroke={INK} strokeWidth="1.4" />
      {key === 'foamy' ? (
        <g fill="none" stroke={INK} strokeWidth="1.2">
          <circle cx="14" cy="12" r="4" />
          <circle cx="42" cy="10" r="5" />
          <circle cx="41" cy="22" r="3" />
        </g>
      ) : null}
      {key === 'metallic' ? <path d="M26 20l4 2M26 26l4-2M27 33l3 1" stroke={INK} strokeWidth="1.6" /> : null}
    </>
  );
}

function blade(shade: number, key: string): ReactNode {
  const shape = key === 'bent' ? 'M4 24L28 18L52 30L52 36L28 25L4 30Z' : 'M4 18H52L46 26H10Z';
  return (
    <>
      <path d={shape} fill={INK} fillOpacity={shade} stroke={INK} strokeWidth="1.8" />
      <circle cx="28" cy="22" r="3.4" fill="var(--sheet)" stroke={INK} strokeWidth="1.6" />
      {key === 'cracked' ? (
        <path d="M38 16l-4 5 5 2-4 6" stroke="var(--late)" strokeWidth="2.4" fill="none" />
      ) : null}
      {key === 'dull' ? <path d="M12 26l4-3 4 3 4-3" stroke={INK} strokeWidth="1.8" fill="none" /> : null}
    </>
  );
}

function tube(shade: number, isBroken: boolean): ReactNode {
  return (
    <>
      <path
        d="M4 14C18 4 38 36 52 24"
        fill="none"
        stroke={INK}
        strokeWidth="14"
        strokeOpacity={0.25 + shade / 2}
      />
      <path d="M4 14C18 4 38 36 52 24" fill="none" stroke={INK} strokeWidth="1.4" />
      {isBroken ? <path d="M24 12l5 7-5 4 6 7" stroke="var(--late)" strokeWidth="2.4" fill="none" /> : null}
    </>
  );
}

function bowl(shade: number, key: string): ReactNode {
  return (
    <>
      <path
        d="M14 6h28v24q0 6-6 6H20q-6 0-6-6z"
        fill={INK}
        fillOpacity={shade}
        stroke={INK}
        strokeWidth="1.8"
      />
      {key === 'dirt' ? <path d="M16 31h24v3q-2 2-5 2H21q-4 0-5-2z" fill={INK} /> : null}
      {key === 'water' ? <path d="M15 24h26" stroke={INK} strokeWidth="1.6" strokeDasharray="3 2" /> : null}
    </>
  );
}

function reservoir(shade: number, key: string): ReactNode {
  const top = key === 'low' ? 31 : 17;
  return (
    <>
      <path d="M14 10h28v26H14zM23 4h10v6H23z" fill="none" stroke={INK} strokeWidth="1.8" />
      <path d={`M15 ${top}h26V35H15z`} fill={INK} fillOpacity={Math.max(0.12, shade)} />
      <path d="M10 16h8M10 28h8" stroke={INK} strokeWidth="1.4" />
      {key === 'oily' ? (
        <path d="M15 16q6-5 13 0t13 0" stroke="var(--late)" strokeWidth="2.4" fill="none" />
      ) : null}
    </>
  );
}

function wheel(shade: number, isBroken: boolean): ReactNode {
  return (
    <>
      <circle cx="28" cy="20" r="16" fill={INK} fillOpacity={shade} stroke={INK} strokeWidth="2" />
      <circle cx="28" cy="20" r="6.5" fill="var(--sheet)" stroke={INK} strokeWidth="1.6" />
      {isBroken ? <path d="M36 8l3 6-5 3 5 6" stroke="var(--late)" strokeWidth="2.4" fill="none" /> : null}
    </>
  );
}

type Draw = (shade: number, key: string) => ReactNode;
const whole =
  (draw: (shade: number, isBroken: boolean) => ReactNode): Draw =>
  (shade, key) =>
    draw(shade, BROKEN.has(key));

const DRAWINGS: Record<LookKey, Draw> = {
  airFilter: whole(pleats),
  sparkPlug: whole(plug),
  engineOil: dipstick,
  hydraulicOil: dipstick,
  gearOil: dipstick,
  coolant: reservoir,
  brakeFluid: reservoir,
  blade,
  belt: whole(tube),
  hose: whole(tube),
  fuelFilter: bowl,
  tyre: whole(wheel),
  spindle: whole(wheel),
};

export const ANSWER_WORDS: Record<LookAnswer, string> = {
  keep: 'Keep it',
  cleanAndRefit: 'Clean and refit',
  replace: 'Replace it',
  stopAndRepair: 'Stop and repair',
};

/** What may be seen, drawn. */
export function SightPicture({ look, sight }: { look: LookKey; sight: string }) {
  return (
    <svg viewBox="0 0 56 40" aria-hidden>
      {DRAWINGS[look](DARKNESS[sight] ?? 0.15, sight)}
    </svg>
  );
}
