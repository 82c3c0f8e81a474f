import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { FluidTakenDto, PouredDto } from '@yugator/contracts';
import { capital } from '@yugator/core';
import { Choose } from '../form/Choose.js';
import { QuantityInput } from '../form/QuantityInput.js';
import { useIsOneOf } from '../session/useSession.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { fluidWords } from './fluidWords.js';
import { pouredAtFirst } from './poured.js';
import type { Poured } from './poured.js';

const ANOTHER = 'another';
const NOT_OF_SHELF = 'none';

interface Props {
  readonly poured: Poured;
  readonly onChange: (poured: Poured) => void;
  readonly fluids: readonly FluidTakenDto[];
  /** what is wrong with a part of it */
  readonly faultOf: (part: keyof PouredDto) => string | undefined;
}

/** How much of which fluid was poured, and out of what. What the card names is offered; the crew lead alone may pour another. */
export function PouredFields({ poured, onChange, fluids, faultOf }: Props) {
  const isLead = useIsOneOf('crewLead');
  const grades = fluids.find(({ component }) => component === poured.component)?.grades ?? [];
  const isNamed = grades.some(({ grade }) => grade === poured.grade);
  const mayTypeGrade = grades.length === 0 || (isLead && !isNamed);
  const faulty = (part: keyof PouredDto, hint = '') => ({
    error: faultOf(part) !== undefined,
    helperText: faultOf(part) ?? hint,
  });
  return (
    <>
      <Choose
        label="Fluid"
        value={poured.component}
        choices={fluids.map(({ component }) => [component, capital(fluidWords(component))] as const)}
        onChange={(component) => onChange({ ...pouredAtFirst(fluids, component), litres: poured.litres })}
        {...faulty('component')}
      />
      <QuantityInput
        label="How much"
        dimension="volume"
        keptDecimals={3}
        value={poured.litres}
        onChange={(litres) => onChange({ ...poured, litres: litres ?? null })}
        fault={faultOf('litres')}
        autoFocus
      />
      {grades.length ? (
        <Choose<string>
          label="What was poured"
          value={isNamed ? poured.grade : ANOTHER}
          choices={[
            ...grades.map(({ grade, category }) => [grade, `${grade} ${category}`.trim()] as const),
            ...(isLead ? [[ANOTHER, 'Another than the card names'] as const] : []),
          ]}
          onChange={(grade) => onChange({ ...poured, grade: grade === ANOTHER ? '' : grade })}
          {...faulty('grade', 'As the card names it')}
        />
      ) : null}
      {mayTypeGrade ? (
        <TextField
          label="Grade, as the bottle says"
          value={poured.grade}
          onChange={({ target }) => onChange({ ...poured, grade: target.value })}
          {...faulty('grade')}
        />
      ) : null}
      {(mayTypeGrade && grades.length) || faultOf('reason') !== undefined ? (
        <TextField
          label="Why another than the card names"
          value={poured.reason ?? ''}
          onChange={({ target }) => onChange({ ...poured, reason: target.value })}
          {...faulty('reason')}
        />
      ) : null}
      <FromShelf
        value={poured.articleId ?? NOT_OF_SHELF}
        onChange={(id) => onChange({ ...poured, articleId: id === NOT_OF_SHELF ? null : id })}
        fault={faultOf('articleId')}
      />
    </>
  );
}

interface FromShelfProps {
  readonly value: string;
  readonly onChange: (id: string) => void;
  readonly fault: string | undefined;
}

/** Which fluid of the shelf it came out of, where the shelf keeps any. */
function FromShelf({ value, onChange, fault }: FromShelfProps) {
  const { data = [] } = useQuery(shelfQueries.list());
  const fluids = data.filter(({ kind, unit }) => kind === 'fluid' && unit === 'litre');
  if (fluids.length === 0) return null;
  return (
    <Choose<string>
      label="Out of the shelf"
      value={value}
      choices={[
        [NOT_OF_SHELF, 'Not from the shelf'] as const,
        ...fluids.map(({ id, name }) => [id, name] as const),
      ]}
      onChange={onChange}
      error={fault !== undefined}
      helperText={fault}
    />
  );
}
