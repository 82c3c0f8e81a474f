import Button from '@mui/material/Button';
import { civilDateAt, instant } from '@yugator/core';
import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto, ReadingDto } from '@yugator/contracts';
import { useState } from 'react';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { VoidDialog } from '../page/VoidDialog.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import { ATTACHMENT_WORDS } from './classWords.js';
import { ChangeMeter } from './ChangeMeter.js';
import { fleetQueries } from './fleetQueries.js';

const STEP = 40;
const SOURCE_WORDS: Record<string, string> = {
  round: 'on a round',
  job: 'at a sign-off',
  entry: 'entered',
};

function Row({ reading, mayVoid }: { reading: ReadingDto; mayVoid: boolean }) {
  const { site, today } = useSession();
  const { voided } = reading;
  return (
    <tr className={voided ? table.void : undefined}>
      <td>{momentWords(reading.at, site.timeZone, today)}</td>
      <td className={table.number} data-label="Shown:">
        {hoursWords(reading.shown)}
      </td>
      <td className={table.number} data-label="Life hours:">
        {hoursWords(reading.life)}
      </td>
      <td>
        {reading.meter === 'engine' ? '' : `${ATTACHMENT_WORDS[reading.meter]}'s meter, `}
        {SOURCE_WORDS[reading.source] ?? reading.source}
        {reading.enteredBy ? `, ${reading.enteredBy}` : ''}
        {reading.photo ? (
          <>
            {' '}
            <a href={reading.photo} target="_blank" rel="noreferrer">
              Photo
              <span className="visually-hidden"> of {hoursWords(reading.shown)} h, opens in a new tab</span>
            </a>
          </>
        ) : null}
      </td>
      <td className={table.kept}>
        {voided ? `Void: ${voided.reason} (${voided.by})` : null}
        {!voided && mayVoid && reading.source === 'round' ? (
          <VoidDialog
            what={`the reading of ${hoursWords(reading.shown)} h`}
            consequence="The schedule is worked out as if it had never been read."
            path={`/readings/${reading.id}/void`}
            subjects={['readings']}
          />
        ) : null}
      </td>
    </tr>
  );
}

/** Operators take back what they read themselves today. */
function useIsOwnSlip(): (reading: ReadingDto) => boolean {
  const { person, site, today } = useSession();
  const isOperator = useIsOneOf('operator');
  return ({ at, enteredBy }) =>
    isOperator && enteredBy === person.name && civilDateAt(instant(at), site.timeZone) === today;
}

/** All readings of a machine, void ones too. */
export function Readings({ machine }: { machine: MachineDetailDto }) {
  const { data, error, refetch } = useQuery(fleetQueries.readings(machine.id));
  const mayVoid = useIsOneOf('crewLead', 'mechanic');
  const isOwnSlip = useIsOwnSlip();
  const [shown, setShown] = useState(STEP);
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  return (
    <>
      {mayVoid ? (
        <div style={{ marginBottom: 10 }}>
          <ChangeMeter machine={machine} />
        </div>
      ) : null}
      <table className={table.table}>
        <thead>
          <tr>
            <th>Read</th>
            <th className={table.number}>Shown</th>
            <th className={table.number}>Life hours</th>
            <th>How</th>
            <th>
              <span className="visually-hidden">Void</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data.slice(0, shown).map((reading) => (
            <Row key={reading.id} reading={reading} mayVoid={mayVoid || isOwnSlip(reading)} />
          ))}
        </tbody>
      </table>
      {data.length > shown ? (
        <Button sx={{ mt: 2 }} onClick={() => setShown((now) => now + STEP)}>
          Show {Math.min(STEP, data.length - shown)} earlier
        </Button>
      ) : null}
    </>
  );
}
