import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Empty } from '../page/Empty.js';
import { PageHead } from '../page/PageHead.js';
import styles from './bench.module.css';
import { BatteryTool, DeckTool, GreaseTool, LoaderTool, PlayTool, UnitsTool } from './CheckTools.js';
import { NoStartTool } from './NoStartTool.js';
import { DrainTool, FillTool, ViscosityTool } from './FluidTools.js';

const TOOLS: readonly { readonly key: string; readonly word: string; readonly tool: ReactNode }[] = [
  { key: 'fill', word: 'Fill and jugs', tool: <FillTool /> },
  { key: 'drain', word: 'Drain', tool: <DrainTool /> },
  { key: 'viscosity', word: 'Oil grade', tool: <ViscosityTool /> },
  { key: 'units', word: 'Units', tool: <UnitsTool /> },
  { key: 'battery', word: 'Battery', tool: <BatteryTool /> },
  { key: 'no-start', word: 'It does not start', tool: <NoStartTool /> },
  { key: 'grease', word: 'Grease', tool: <GreaseTool /> },
  { key: 'play', word: 'Belt and free play', tool: <PlayTool /> },
  { key: 'deck', word: 'Deck level', tool: <DeckTool /> },
  { key: 'loader', word: 'Loader hours', tool: <LoaderTool /> },
];

/** The calculators on their own, for the work that is in no book. What is typed stands in the address. */
export function BenchPage() {
  const { tool = 'fill' } = useParams();
  const chosen = TOOLS.find(({ key }) => key === tool);
  return (
    <>
      <PageHead
        name="Bench"
        title="Bench"
        under="Calculators for the work that is in no book. What you type stands in the address: pass it on."
      />
      <nav className={styles.tools} aria-label="Calculators">
        {TOOLS.map(({ key, word }) => (
          <Button
            key={key}
            component={Link}
            to={`/bench/${key}`}
            size="small"
            sx={
              key === tool
                ? { bgcolor: 'var(--ink)', color: 'var(--chalk)', '&:hover': { bgcolor: 'var(--ink)' } }
                : {}
            }
            aria-current={key === tool ? 'page' : undefined}
          >
            {word}
          </Button>
        ))}
      </nav>
      {chosen ? (
        <section aria-label={chosen.word}>{chosen.tool}</section>
      ) : (
        <Empty title="There is no such calculator. Choose one above." />
      )}
    </>
  );
}
