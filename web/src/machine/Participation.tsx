import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto, SeasonsDto, UpdateParticipationDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { seasonQueries } from '../season/seasonQueries.js';
import { intervalWords, parseFigure } from '../words/figures.js';

const MOST_HOURS = 168;

/** Hours typed for each season; seasons that the machine does not take part in are missing. */
type Typed = Readonly<Record<string, string>>;

function typedOf(machine: MachineDetailDto): Typed {
  return Object.fromEntries(machine.participation.map((part) => [part.seasonId, String(part.hoursPerWeek)]));
}

function faultOf(typed: string | undefined): string | null {
  if (typed === undefined) return null;
  const hours = parseFigure(typed);
  return Number.isFinite(hours) && hours >= 0 && hours <= MOST_HOURS
    ? null
    : 'Give the planned hours a week, such as 8.';
}

function ParticipationForm({
  machine,
  seasons,
}: {
  machine: MachineDetailDto;
  seasons: SeasonsDto['seasons'];
}) {
  const say = useNotice();
  const [typed, setTyped] = useState<Typed>(() => typedOf(machine));
  const [tried, setTried] = useState(false);
  const update = useWrite<MachineDetailDto, UpdateParticipationDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/seasons`, body }),
    ['machines', 'seasons'],
    (saved) => say(`${saved.tag}: seasons saved.`),
  );
  const save = () => {
    setTried(true);
    if (Object.values(typed).some((hours) => faultOf(hours) !== null)) return;
    update.mutate({
      version: machine.version,
      participation: Object.entries(typed).map(([seasonId, hours]) => ({
        seasonId,
        hoursPerWeek: parseFigure(hours),
      })),
    });
  };
  const without = (id: string) => Object.fromEntries(Object.entries(typed).filter(([own]) => own !== id));
  return (
    <>
      {update.error ? <Caution title="Not saved">{<p>{sentenceOf(update.error)}</p>}</Caution> : null}
      {seasons.map(({ id, name }) => {
        const hours = typed[id];
        const fault = tried ? faultOf(hours) : null;
        return (
          <div key={id} style={{ display: 'flex', flexWrap: 'wrap', gap: 12, alignItems: 'center' }}>
            <FormControlLabel
              label={name}
              sx={{ minWidth: 180 }}
              control={
                <Checkbox
                  checked={hours !== undefined}
                  onChange={(_event, on) => setTyped(on ? { ...typed, [id]: '' } : without(id))}
                />
              }
            />
            {hours === undefined ? null : (
              <TextField
                fullWidth={false}
                label={`Hours a week in ${name}`}
                value={hours}
                onChange={(event) => setTyped({ ...typed, [id]: event.target.value })}
                error={fault !== null}
                helperText={fault}
                slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
              />
            )}
          </div>
        );
      })}
      <div>
        <Button variant="contained" color="primary" loading={update.isPending} onClick={save}>
          Save its seasons
        </Button>
      </div>
    </>
  );
}

/** In which seasons the machine works, with its planned hours a week; between them it is laid up. */
export function Participation({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const { data, error, refetch } = useQuery(seasonQueries.all());
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading rows={2} />;
  const own = machine.participation.flatMap(({ seasonId, hoursPerWeek }) => {
    const season = data.seasons.find(({ id }) => id === seasonId);
    return season ? `${intervalWords(hoursPerWeek)} h a week in ${season.name}` : [];
  });
  return (
    <section style={{ display: 'grid', gap: 8 }} aria-label="Seasons of this machine">
      <h2>Its seasons</h2>
      <p className="soft">
        {own.length
          ? `${own.join(', ')}. Outside of them it is laid up.`
          : 'It has no plan: its own average of 90 days is all that is known.'}
      </p>
      {mayChange && data.seasons.length ? (
        <ParticipationForm machine={machine} seasons={data.seasons} />
      ) : null}
      {data.seasons.length === 0 ? <Link to="/season">Set up the seasons of the site</Link> : null}
    </section>
  );
}
