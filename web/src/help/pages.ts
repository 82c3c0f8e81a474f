import forecast from '../../../docs/forecast.md?raw';
import schedule from '../../../docs/schedule.md?raw';

/** What Yugator says of itself, from the same files that the repository has. */
export const HELP_PAGES: Readonly<Record<string, { readonly name: string; readonly text: string }>> = {
  schedule: { name: 'What is due', text: schedule },
  forecast: { name: 'The forecast', text: forecast },
};
