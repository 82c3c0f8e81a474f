import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { FitDto, FitFieldsDto, FitsDto, MachineDetailDto } from '@yugator/contracts';
import { capital, componentSpec } from '@yugator/core';
import type { Component } from '@yugator/core';
import { lazy } from 'react';
import { sentenceOf } from '../api/problem.js';
import { DialogButton } from '../form/DialogButton.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { useIsOneOf } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { fleetQueries } from './fleetQueries.js';
import { STANDING_WORDS } from './fitWords.js';
import { ShareParts } from './ShareParts.js';
import { useFits } from './useFits.js';

const FitForm = lazy(async () => ({ default: (await import('./FitForm.js')).FitForm }));

/** A fit as it is sent. */
function fieldsOf({ component, articleId, quantity, standing, reason }: FitDto): FitFieldsDto {
  return { component, articleId, quantity, standing, reason };
}

/** Components that the machine's lines replace and of which nothing is said yet. */
function unsaid(machine: MachineDetailDto, fits: readonly FitDto[]): Component[] {
  const replaced = machine.lines
    .filter(({ action }) => action === 'replace')
    .flatMap(({ components }) => components)
    .filter((component) => component !== 'other');
  const known = new Set(fits.map(({ component }) => component));
  return [...new Set(replaced)].filter((component) => !known.has(component));
}

function FitRow({
  fit,
  onTakeOut,
}: {
  fit: FitDto;
  /** null for who may not */
  onTakeOut: (() => void) | null;
}) {
  const stock = useStockWords();
  const isByCard = componentSpec(fit.component).is === 'fluid' || fit.component === 'greasePoints';
  const usual = isByCard ? 'by the card' : stock(1, 'piece');
  return (
    <tr>
      <td>
        <b>{capital(componentSpec(fit.component).words)}</b>
      </td>
      <td>{fit.name}</td>
      <td data-label="Stands as:">
        {STANDING_WORDS[fit.standing]}
        {fit.reason ? <span className="soft">: {fit.reason}</span> : null}
      </td>
      <td className={table.number} data-label="Takes:">
        {fit.quantity === null ? usual : stock(fit.quantity, fit.unit)}
      </td>
      <td className={table.number} data-label="On hand:">
        {stock(fit.onHand, fit.unit)}
      </td>
      <td>
        {onTakeOut ? (
          <Button
            variant="text"
            size="small"
            onClick={onTakeOut}
            aria-label={`Take out ${fit.name} for the ${componentSpec(fit.component).words}`}
          >
            Take out
          </Button>
        ) : null}
      </td>
    </tr>
  );
}

function FitTable({
  machine,
  fits,
  mayChange,
}: {
  machine: MachineDetailDto;
  fits: FitsDto;
  mayChange: boolean;
}) {
  const write = useFits(machine, fits);
  return (
    <>
      {write.error ? <Caution title="Not changed">{<p>{sentenceOf(write.error)}</p>}</Caution> : null}
      <table className={table.table}>
        <thead>
          <tr>
            <th>For the</th>
            <th>Takes</th>
            <th>Stands as</th>
            <th className={table.number}>How much</th>
            <th className={table.number}>On hand</th>
            <th>
              <span className="visually-hidden">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {fits.fits.map((fit) => (
            <FitRow
              key={`${fit.component} ${fit.articleId}`}
              fit={fit}
              onTakeOut={
                mayChange ? () => write.mutate(fits.fits.filter((each) => each !== fit).map(fieldsOf)) : null
              }
            />
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Which articles the machine takes for each component: its jobs fetch and draw by it. */
export function Fits({ machine }: { machine: MachineDetailDto }) {
  const { data: fits, error, refetch } = useQuery(fleetQueries.fits(machine.id));
  const mayChange = useIsOneOf('crewLead', 'mechanic');
  const isLead = useIsOneOf('crewLead');
  if (!fits) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const missing = unsaid(machine, fits.fits);
  return (
    <>
      {fits.fits.length ? (
        <FitTable machine={machine} fits={fits} mayChange={mayChange} />
      ) : (
        <Empty title="Nothing is said of what fits it yet.">
          <p>Say it once, and its jobs fetch and draw the right filter, plug and oil by themselves.</p>
        </Empty>
      )}
      {missing.length ? (
        <p style={{ marginTop: 12 }}>
          Its lines replace more, of which nothing is said:{' '}
          {missing.map((component) => componentSpec(component).words).join(', ')}.
        </p>
      ) : null}
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10, marginTop: 16 }}>
        {mayChange ? (
          <DialogButton word="Add what fits" variant={fits.fits.length ? 'outlined' : 'contained'}>
            {(close) => (
              <FitForm
                key={fits.version}
                machine={machine}
                fits={fits}
                known={fits.fits.map(fieldsOf)}
                first={missing[0] ?? null}
                onDone={close}
              />
            )}
          </DialogButton>
        ) : null}
        {isLead ? <ShareParts machine={machine} parts={['fits']} /> : null}
      </div>
    </>
  );
}
