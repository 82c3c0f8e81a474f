import Markdown from 'markdown-to-jsx';
import type { ComponentProps } from 'react';
import { Link, useParams } from 'react-router';
import { NoSuchPage } from '../page/NoSuchPage.js';
import { PageHead } from '../page/PageHead.js';
import styles from './help.module.css';
import { HELP_PAGES } from './pages.js';

const FILE = /^(\w+)\.md(#.*)?$/;

/** A link to another of these pages, as the files have it; any other place in the files is not of the program. */
function HelpLink({ href = '', children }: ComponentProps<'a'>) {
  const [, name = '', anchor = ''] = FILE.exec(href) ?? [];
  return name in HELP_PAGES ? <Link to={`/help/${name}${anchor}`}>{children}</Link> : <>{children}</>;
}

/** A table that is wider than a phone is moved by itself, also from the keyboard. */
function WideTable(props: ComponentProps<'table'>) {
  return (
    <div className={styles.wide} role="region" aria-label="Table" tabIndex={0}>
      <table {...props} />
    </div>
  );
}

/** A page of explanation. */
export function HelpPage() {
  const { page = '' } = useParams();
  const known = HELP_PAGES[page];
  if (!known) return <NoSuchPage />;
  const [title = '', ...rest] = known.text.split('\n');
  return (
    <>
      <PageHead name={known.name} title={title.replace(/^# /, '')} />
      <Markdown
        className={styles.words}
        options={{
          overrides: { a: { component: HelpLink }, table: { component: WideTable } },
          forceBlock: true,
          wrapper: 'div',
        }}
      >
        {rest.join('\n')}
      </Markdown>
    </>
  );
}
