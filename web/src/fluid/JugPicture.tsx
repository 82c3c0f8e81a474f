import { inUnit } from '@yugator/core';
import { markOf } from './jugSizes.js';
import type { JugSize } from './jugSizes.js';

const TOP = 48;
const BOTTOM = 214;

/** A jug with the level at which to stop. */
export function JugPicture({ jug, from, until }: { jug: JugSize; from: number; until: number }) {
  const y = (litres: number) => BOTTOM - (litres / jug.litres) * (BOTTOM - TOP);
  const size = Number(inUnit(jug.litres, 'volume', jug.unit, 2));
  const step = (markOf(jug) * size) / jug.litres;
  const marks = Array.from({ length: Math.floor(size / step + 1e-9) }, (_, index) => (index + 1) * step);
  const perUnit = jug.litres / size;
  return (
    <svg
      viewBox="0 0 150 224"
      width="140"
      role="img"
      aria-label={`A jug of ${jug.key}: pour until it stands at the mark`}
    >
      <path
        d="M30 44q0-14 14-14h16V16h34v14h14q16 0 16 16v160q0 14-14 14H44q-14 0-14-14z"
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="2.2"
      />
      <path d={`M31 ${y(until)}H124V206q0 13-14 13H44q-13 0-13-13z`} fill="var(--ripe)" fillOpacity=".4" />
      <path d={`M31 ${y(from)}H124`} stroke="var(--ink)" strokeDasharray="3 3" />
      {marks.map((mark) => (
        <g key={mark}>
          <path d={`M112 ${y(mark * perUnit)}h12`} stroke="var(--ink)" />
          <text
            x="108"
            y={y(mark * perUnit) + 5}
            textAnchor="end"
            fontSize="14"
            fontWeight="600"
            fill="var(--ink)"
            fontFamily="'Barlow Semi Condensed', sans-serif"
          >
            {mark}
          </text>
        </g>
      ))}
      <path d={`M14 ${y(until)}H134`} stroke="var(--copper)" strokeWidth="3" />
    </svg>
  );
}
