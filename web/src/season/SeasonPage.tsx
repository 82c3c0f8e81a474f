import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { UpdateSeasonsDto } from '@yugator/contracts';
import type { SeasonFieldsDto, SeasonsDto } from '@yugator/contracts';
import { useFieldArray } from 'react-hook-form';
import { Link } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { useDtoForm } from '../form/useDtoForm.js';
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

function draftOf({ seasons, version }: SeasonsDto): UpdateSeasonsDto {
  return { seasons: seasons.map(({ id, name, years }) => ({ id, name, years })), version };
}

/** A season begun by the crew lead: the mowing of this year, to be put right. */
function newSeason(year: number): SeasonFieldsDto {
  return { name: '', years: [{ year, firstDay: `${year}-04-01`, lastDay: `${year}-10-31` }] };
}

function SeasonsForm({ data, mayChange }: { data: SeasonsDto; mayChange: boolean }) {
  const { today } = useSession();
  const say = useNotice();
  const thisYear = Number(today.slice(0, 4));
  const form = useDtoForm(UpdateSeasonsDto, draftOf(data));
  const cards = useFieldArray({ control: form.control, name: 'seasons', keyName: 'key' });
  const [seasons, base] = form.watch(['seasons', 'version']);
  const update = useWrite<SeasonsDto, UpdateSeasonsDto>(
    (body) => ({ method: 'PUT', path: '/seasons', body }),
    ['seasons', 'machines'],
    (saved) => {
      form.reset(draftOf(saved));
      form.clearProblem();
      say('Seasons saved.');
    },
  );
  const isChanged = JSON.stringify(seasons) !== JSON.stringify(draftOf(data).seasons);
  return (
    <form
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((typed) => update.mutate(typed, { onError: form.refuse }))(event)
      }
    >
      <YearLine seasons={seasons} today={today} years={[thisYear, thisYear + 1, thisYear + 2]} />
      <div className={styles.cards}>
        {cards.fields.map((card, index) => (
          <SeasonCard
            key={card.key}
            form={form}
            index={index}
            machines={data.seasons.find(({ id }) => id === card.id)?.machines ?? []}
            mayChange={mayChange}
            thisYear={thisYear}
            onDrop={() => cards.remove(index)}
          />
        ))}
      </div>
      {mayChange ? (
        <div className={styles.acts}>
          {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
          {base !== data.version && !update.isPending ? (
            <Caution title="Changed meanwhile" quiet>
              <p>Somebody else saved the seasons. Take over how they stand, then change them again.</p>
              <Button
                onClick={() => {
                  form.reset(draftOf(data));
                  form.clearProblem();
                }}
              >
                Show how they stand now
              </Button>
            </Caution>
          ) : null}
          <Button onClick={() => cards.append(newSeason(thisYear))}>Add a season</Button>
          <Button
            type="submit"
            variant="contained"
            color="primary"
            disabled={!isChanged}
            loading={update.isPending}
          >
            Save the seasons
          </Button>
        </div>
      ) : null}
    </form>
  );
}

/** The seasons of the site on a year line. Machines take part in them; between theirs they are laid up. */
export function SeasonPage() {
  const { data, error, refetch } = useQuery(seasonQueries.all());
  const mayChange = useIsOneOf('crewLead');
  const mayPlan = useIsOneOf('crewLead', 'mechanic');
  return (
    <>
      <PageHead
        name="Season"
        title="Seasons"
        under="When the site works. A machine is laid up outside of the seasons it takes part in; a year without days of its own takes over those of the year before."
      >
        {mayPlan ? (
          <Button component={Link} to="/season/plan">
            Visits planned
          </Button>
        ) : null}
      </PageHead>
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
