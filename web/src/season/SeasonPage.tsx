import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { SeasonsDto, UpdateSeasonsDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { SeasonCard } from './SeasonCard.js';
import { seasonQueries } from './seasonQueries.js';
import styles from './season.module.css';
import { YearLine } from './YearLine.js';

type Draft = UpdateSeasonsDto['seasons'];

function draftOf(data: SeasonsDto): Draft {
  return data.seasons.map(({ id, name, years }) => ({ id, name, years }));
}

/** A season begun by the crew lead: the mowing of this year, to be put right. */
function newSeason(year: number): Draft[number] {
  return { name: '', years: [{ year, firstDay: `${year}-04-01`, lastDay: `${year}-10-31` }] };
}

function SeasonsForm({ data, mayChange }: { data: SeasonsDto; mayChange: boolean }) {
  const { today } = useSession();
  const say = useNotice();
  const thisYear = Number(today.slice(0, 4));
  const [draft, setDraft] = useState<Draft>(() => draftOf(data));
  const [base, setBase] = useState(data.version);
  const update = useWrite<SeasonsDto, UpdateSeasonsDto>(
    (body) => ({ method: 'PUT', path: '/seasons', body }),
    ['seasons', 'machines'],
    (saved) => {
      setBase(saved.version);
      setDraft(draftOf(saved));
      say('Seasons saved.');
    },
  );
  const machinesOf = (id: string | undefined) =>
    data.seasons.find((season) => season.id === id)?.machines ?? [];
  const isChanged = JSON.stringify(draft) !== JSON.stringify(draftOf(data));
  return (
    <>
      <YearLine seasons={draft} today={today} years={[thisYear, thisYear + 1, thisYear + 2]} />
      <div className={styles.cards}>
        {draft.map((season, index) => (
          <SeasonCard
            key={season.id ?? `new-${index}`}
            season={season}
            machines={machinesOf(season.id)}
            mayChange={mayChange}
            thisYear={thisYear}
            onChange={(changed) => setDraft(draft.map((each, own) => (own === index ? changed : each)))}
            onDrop={() => setDraft(draft.filter((_each, own) => own !== index))}
          />
        ))}
      </div>
      {mayChange ? (
        <div className={styles.acts}>
          {update.error ? <Caution title="Not saved">{<p>{sentenceOf(update.error)}</p>}</Caution> : null}
          {base !== data.version && !update.isPending ? (
            <Caution title="Changed meanwhile" quiet>
              <p>Somebody else saved the seasons. Take over how they stand, then change them again.</p>
              <Button
                onClick={() => {
                  setDraft(draftOf(data));
                  setBase(data.version);
                }}
              >
                Show how they stand now
              </Button>
            </Caution>
          ) : null}
          <Button onClick={() => setDraft([...draft, newSeason(thisYear)])}>Add a season</Button>
          <Button
            variant="contained"
            color="primary"
            disabled={!isChanged}
            loading={update.isPending}
            onClick={() => update.mutate({ seasons: draft, version: base })}
          >
            Save the seasons
          </Button>
        </div>
      ) : null}
    </>
  );
}

/** The seasons of the site on a year line. Machines take part in them; between theirs they are laid up. */
export function SeasonPage() {
  const { data, error, refetch } = useQuery(seasonQueries.all());
  const mayChange = useIsOneOf('crewLead');
  return (
    <>
      <PageHead
        name="Season"
        title="Seasons"
        under="When the site works. A machine is laid up outside of the seasons it takes part in; a year without days of its own takes over those of the year before."
      />
      {data ? (
        <SeasonsForm data={data} mayChange={mayChange} />
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
