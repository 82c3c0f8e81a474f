import { useQuery } from '@tanstack/react-query';
import { FitFieldsDto } from '@yugator/contracts';
import type { ArticleDto, FitsDto, MachineDetailDto, WorkshopDto } from '@yugator/contracts';
import {
  componentSpec,
  expectedFrom,
  FIT_STANDINGS,
  fluidPlace,
  judgeSubstitute,
  rulesWithWays,
  shownValue,
} from '@yugator/core';
import type { Component, SubstituteJudgement, TraitLine } from '@yugator/core';
import { Controller } from 'react-hook-form';
import { ComponentPick } from '../component/ComponentPick.js';
import { ChoiceField } from '../form/ChoiceField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { StockField } from '../form/StockField.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { FluidVerdict } from '../fluid/FluidVerdict.js';
import { Caution } from '../page/Caution.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { ArticlePick } from '../shelf/ArticlePick.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { siteQueries } from '../site/siteQueries.js';
import { REASON_WORDS, STAND_WORDS, STANDING_WORDS, TRAIT_WORDS } from './fitWords.js';
import { useFits } from './useFits.js';

function traitWords({ trait }: TraitLine, value: TraitLine['original'], units: 'metric' | 'us'): string {
  if (value === null || value === '') return '–';
  if (typeof value === 'string') return value;
  return shownValue(value, trait === 'bypass' ? 'pressure' : 'length', units);
}

/** The article beside the original, figure by figure. */
function Comparison({ judgement }: { judgement: SubstituteJudgement }) {
  const { site } = useSession();
  const words = REASON_WORDS[judgement.reason];
  return (
    <div>
      {judgement.lines.length ? (
        <table className={table.table} aria-label="Beside the original">
          <thead>
            <tr>
              <th>Figure</th>
              <th>Original</th>
              <th>This one</th>
              <th>It is</th>
            </tr>
          </thead>
          <tbody>
            {judgement.lines.map((line) => (
              <tr key={line.trait}>
                <td>{TRAIT_WORDS[line.trait]}</td>
                <td data-label="Original:">{traitWords(line, line.original, site.unitSystem)}</td>
                <td data-label="This one:">{traitWords(line, line.candidate, site.unitSystem)}</td>
                <td data-label="It is:">
                  {line.verdict === 'refuse' ? <b>{STAND_WORDS[line.stand]}</b> : STAND_WORDS[line.stand]}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {judgement.verdict === 'refuse' ? (
        <Caution title="Refused">{<p>{words}</p>}</Caution>
      ) : (
        <p style={{ marginTop: 8 }}>{words}</p>
      )}
    </div>
  );
}

/** What can be told of a choice before it is sent. */
function Judgement({
  machine,
  fits,
  workshop,
  articles,
  chosen,
}: {
  machine: MachineDetailDto;
  fits: FitsDto;
  workshop: WorkshopDto | undefined;
  articles: readonly ArticleDto[];
  chosen: Pick<FitFieldsDto, 'component' | 'articleId' | 'standing'>;
}) {
  const { today } = useSession();
  const expected = expectedFrom(workshop?.climate ?? [], today);
  const byId = (id: string) => articles.find((article) => article.id === id);
  const article = byId(chosen.articleId);
  if (!article) return null;
  if (article.kind === 'fluid') {
    const known = fits.fits.map((fit) => ({ ...fit, fluid: byId(fit.articleId)?.fluid ?? null }));
    const { fuel, spec } = machine;
    return (
      <FluidVerdict
        fluid={article.fluid}
        place={fluidPlace({ fuel, fluids: spec.fluids }, chosen.component, known, expected)}
      />
    );
  }
  const original = fits.fits.find(
    ({ component, standing }) => component === chosen.component && standing === 'original',
  );
  const first = original && byId(original.articleId);
  if (chosen.standing === 'original' || !first || !workshop) return null;
  const judgement = judgeSubstitute({
    original: first,
    candidate: article,
    machine: { make: machine.make, underWarranty: fits.underWarranty },
    partsRule: rulesWithWays(workshop.rules, machine.spec.ways).parts,
  });
  return <Comparison judgement={judgement} />;
}

interface Props {
  readonly machine: MachineDetailDto;
  readonly fits: FitsDto;
  readonly known: readonly FitFieldsDto[];
  /** the component to begin with */
  readonly first: Component | null;
  readonly onDone: () => void;
}

/** Says that an article fits a component, with what speaks for and against it. */
export function FitForm({ machine, fits, known, first, onDone }: Props) {
  const { data: shelf = [] } = useQuery(shelfQueries.list());
  const { data: workshop } = useQuery(siteQueries.workshop());
  const write = useFits(machine, fits);
  const form = useDtoForm<FitFieldsDto>(
    FitFieldsDto,
    {
      component: first ?? undefined,
      articleId: '',
      quantity: null,
      standing: 'original',
      reason: '',
    },
    'onSubmit',
  );
  const [component, articleId, standing] = form.watch(['component', 'articleId', 'standing']);
  const offered = shelf.filter(
    (article) =>
      article.kind !== 'kit' && (!component || !article.component || article.component === component),
  );
  const article = shelf.find(({ id }) => id === articleId);
  return (
    <FormDialog
      title={`${machine.tag}: what fits`}
      problem={form.problem}
      problemTitle="Not kept"
      submitWord="Keep"
      pending={write.isPending}
      onSubmit={form.handleSubmit((values) =>
        write.mutate([...known, { ...values }], { onSuccess: onDone, onError: form.refuse }),
      )}
      onLeave={onDone}
    >
      <Controller
        control={form.control}
        name="component"
        render={({ field: { value, onChange }, fieldState: { error } }) => (
          <ComponentPick
            label="For the"
            machineClass={machine.machineClass}
            value={value ?? null}
            fault={error?.message}
            onChange={onChange}
          />
        )}
      />
      <ArticlePick
        label="Takes"
        articles={offered}
        value={articleId || null}
        fault={form.formState.errors.articleId?.message}
        hint="By name, number, or scan its code"
        onPick={({ id, component: own }) => {
          form.setValue('articleId', id, { shouldDirty: true });
          form.clearErrors('articleId');
          if (own && !component) form.setValue('component', own);
        }}
      />
      <ChoiceField
        form={form}
        name="standing"
        label="It is"
        choices={FIT_STANDINGS.map((key) => [key, STANDING_WORDS[key]] as const)}
      />
      {component ? (
        <Judgement
          machine={machine}
          fits={fits}
          workshop={workshop}
          articles={shelf}
          chosen={{ component, articleId, standing }}
        />
      ) : null}
      {article?.unit === 'litre' ? (
        <StockField
          form={form}
          name="quantity"
          unit="litre"
          label="Takes"
          mayBeEmpty
          hint={`Empty: as much as the card says of the ${component ? componentSpec(component).words : 'fluid'}`}
        />
      ) : (
        <Field
          form={form}
          name="quantity"
          label="How many"
          figure="optional"
          hint={component === 'greasePoints' ? 'Empty: by the strokes of the card' : 'Empty: one'}
        />
      )}
      <Field form={form} name="reason" label="Why, where it is not the original" multiline />
    </FormDialog>
  );
}
