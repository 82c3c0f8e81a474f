import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { approvedGrades, gradesFor, keysOf, shownTemperature } from '@yugator/core';
import type { FillTarget, Prefill } from '@yugator/core';
import { DrainWords } from '../fluid/DrainWords.js';
import { FillPlanner } from '../fluid/FillPlanner.js';
import { jugOf } from '../fluid/jugSizes.js';
import { Choose, choicesOf } from '../form/Choose.js';
import { fleetQueries } from '../machine/fleetQueries.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import styles from './bench.module.css';
import { QuantityParam, useQuantity } from './QuantityParam.js';
import { TemperatureParam, useTemperature } from './TemperatureParam.js';
import { useChoiceParam, useParam, useUnits } from './useParam.js';

const PREFILLS: Record<Prefill, string> = {
  none: 'Not at all',
  quarter: 'A quarter',
  half: 'Half',
  full: 'Full',
};
const TARGETS: Record<FillTarget, string> = {
  fullMark: 'To the full mark, two stages',
  shadeUnder: 'A shade under',
  withoutFilterFirst: 'Figure without filter first',
};
/** Litres: a tenth of the way between marks that hold half a litre. */
const USUAL_SHADE = 0.05;
const WIDE = { minWidth: 190 };

/** Volumes and jugs. */
export function FillTool() {
  const { site } = useSession();
  const withFilter = useQuantity('with', '2 L', 'volume');
  const withoutFilter = useQuantity('without', '1.7 L', 'volume');
  const retained = useQuantity('stayed', '0 L', 'volume');
  const [filter, setFilter] = useParam('filter', 'changed');
  const [prefill, setPrefill] = useChoiceParam('prefill', keysOf(PREFILLS), 'none');
  const [target, setTarget] = useChoiceParam('target', keysOf(TARGETS), 'fullMark');
  const [jug, setJug] = useParam('jug', '');
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="with" usual="2 L" label="Capacity with the filter" dimension="volume" />
        <QuantityParam name="without" usual="1.7 L" label="Without the filter" dimension="volume" />
        <QuantityParam name="stayed" usual="0 L" label="Stayed in" dimension="volume" />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Filter filled beforehand"
          value={prefill}
          choices={choicesOf(PREFILLS)}
          onChange={setPrefill}
        />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="How full"
          value={target}
          choices={choicesOf(TARGETS)}
          onChange={setTarget}
        />
        <FormControlLabel
          control={
            <Switch
              checked={filter === 'changed'}
              onChange={(_event, checked) => setFilter(checked ? 'changed' : 'stays')}
            />
          }
          label="The filter is changed"
        />
      </div>
      {withFilter === null || withoutFilter === null || retained === null ? null : (
        <FillPlanner
          need={{
            capacityWithFilter: withFilter,
            capacityWithoutFilter: withoutFilter,
            firstPourByBook: null,
            retained,
            filterChanged: filter === 'changed',
            prefill,
            target,
            shade: USUAL_SHADE,
          }}
          jug={jugOf(jug, site.unitSystem)}
          onJug={setJug}
          stage="first"
        />
      )}
    </>
  );
}

/** What comes out against what catches it. */
export function DrainTool() {
  const out = useQuantity('out', '5.7 L', 'volume');
  const holds = useQuantity('holds', '2 L', 'volume');
  const room = useQuantity('room', '40 L', 'volume');
  return (
    <>
      <div className={styles.fields}>
        <QuantityParam name="out" usual="5.7 L" label="Comes out" dimension="volume" />
        <QuantityParam name="holds" usual="2 L" label="Pan or extractor holds" dimension="volume" />
        <QuantityParam name="room" usual="40 L" label="Used-oil container has room for" dimension="volume" />
      </div>
      {out && holds && room !== null ? (
        <DrainWords
          litres={[out]}
          vessels={{ panLitres: holds, extractorLitres: holds, roomLitres: room }}
          vessel="pan"
        />
      ) : null}
    </>
  );
}

/** Which oil grade suits the weather: the machine's own book first. */
export function ViscosityTool() {
  const [machineId, choose] = useParam('machine', '');
  const units = useUnits();
  const low = useTemperature('low', '-5 °C');
  const high = useTemperature('high', '15 °C');
  const bound = (value: number | null) => (value === null ? 'no bound' : shownTemperature(value, units));
  const fleet = useQuery(fleetQueries.list());
  const machine = useQuery({ ...fleetQueries.one(machineId), enabled: machineId !== '' });
  const approved = machine.data ? approvedGrades('engineOil', machine.data.spec) : [];
  const advice = low === null || high === null ? [] : gradesFor(approved, low, high);
  return (
    <>
      <div className={styles.fields}>
        <TextField
          select
          fullWidth={false}
          label="Machine"
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          value={fleet.data?.some(({ id }) => id === machineId) ? machineId : ''}
          onChange={(event) => choose(event.target.value)}
          sx={{ minWidth: 240 }}
        >
          <MenuItem value="">No machine: published limits</MenuItem>
          {(fleet.data ?? []).map(({ id, tag, name }) => (
            <MenuItem key={id} value={id}>
              {tag} {name}
            </MenuItem>
          ))}
        </TextField>
        <TemperatureParam name="low" usual="-5 °C" label="Coldest expected" />
        <TemperatureParam name="high" usual="15 °C" label="Warmest expected" />
      </div>
      <p>
        {approved.length
          ? 'What the book of this machine approves.'
          : 'No book says anything here: cold-cranking limits of SAE J300. The book of the machine comes first.'}
      </p>
      <table className={table.table}>
        <thead>
          <tr>
            <th>Grade</th>
            <th>Category</th>
            <th>From</th>
            <th>Up to</th>
            <th>For these days</th>
          </tr>
        </thead>
        <tbody>
          {advice.map(({ grade, category, fromCelsius, toCelsius, suits }) => (
            <tr key={`${grade} ${category}`}>
              <td>
                <b>{grade}</b>
              </td>
              <td data-label="Category:">{category || '–'}</td>
              <td data-label="From:">{bound(fromCelsius)}</td>
              <td data-label="Up to:">{bound(toCelsius)}</td>
              <td>{suits ? '✓ suits' : '✗ does not suit'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
