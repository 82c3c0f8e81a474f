import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { UpdateWorkshopDaysDto } from '@yugator/contracts';
import type { WorkshopDaysDto } from '@yugator/contracts';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf } from '../session/useSession.js';
import { HandFields, WEEKDAYS } from './HandFields.js';
import { MarginFields, NeededFields } from './NeededFields.js';
import { OtherDays } from './OtherDays.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';

/** Minutes of all who work in the workshop on a weekday, as typed. */
function minutesOfHands(hands: UpdateWorkshopDaysDto['hands'], weekday: number): number {
  const minutes = hands.map(({ week }) => Number(week[weekday]?.minutes));
  return minutes.filter(Number.isFinite).reduce((sum, each) => sum + each, 0);
}

function DaysForm({ days }: { days: WorkshopDaysDto }) {
  const say = useNotice();
  const form = useDtoForm<UpdateWorkshopDaysDto>(UpdateWorkshopDaysDto, days, 'onSubmit');
  const update = useWrite<WorkshopDaysDto, UpdateWorkshopDaysDto>(
    (body) => ({ method: 'PUT', path: '/workshop-days', body }),
    ['plan'],
    (saved) => {
      form.reset(saved);
      say('The days of the workshop are saved.');
    },
  );
  const hands = useWatch({ control: form.control, name: 'hands' });
  return (
    <form
      className={form_.form}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((typed) => update.mutate(typed, { onError: form.refuse }))(event)
      }
    >
      {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
      <fieldset className={form_.plain}>
        <legend>
          <h2>Every week</h2>
        </legend>
        {WEEKDAYS.map((weekday, at) => (
          <div key={weekday} className={styles.weekday}>
            <b>{weekday}</b>
            {hands.length ? (
              <span>
                {minutesOfHands(hands, at) ? (
                  <>
                    <b className="fig">{minutesOfHands(hands, at)}</b> min
                  </>
                ) : (
                  'nobody is in'
                )}
              </span>
            ) : (
              <Field
                form={form}
                name={`week.${at}.minutes`}
                label="Minutes"
                figure
                size="small"
                slotProps={{ htmlInput: { 'aria-label': `Minutes of all hands on ${weekday}` } }}
              />
            )}
            <Field
              form={form}
              name={`week.${at}.bays`}
              label="Machines"
              figure
              size="small"
              slotProps={{ htmlInput: { 'aria-label': `Machines that find room on ${weekday}` } }}
            />
          </div>
        ))}
        {hands.length ? null : (
          <p className="soft">
            Minutes of all hands together: two mechanics for four hours are 480. 0 is closed.
          </p>
        )}
      </fieldset>
      <HandFields form={form} />
      <OtherDays form={form} />
      <NeededFields form={form} />
      <MarginFields form={form} />
      <div className={form_.acts}>
        <Button type="submit" variant="contained" color="primary" loading={update.isPending}>
          Save the days
        </Button>
      </div>
    </form>
  );
}

/** When the workshop is open, for how many hands and machines. */
export function WorkshopDaysPage() {
  const { data, error, refetch } = useQuery(planQueries.days());
  const mayChange = useIsOneOf('crewLead');
  return (
    <>
      <PageHead
        name="Days of the workshop"
        title="Days of the workshop"
        under="How many minutes of hands there are, and for how many machines there is room"
      >
        <Button component={Link} to="/season/plan">
          Visits planned
        </Button>
      </PageHead>
      {!mayChange ? (
        <p>The crew lead says when the workshop is open.</p>
      ) : data ? (
        <DaysForm key={data.version} days={data} />
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
