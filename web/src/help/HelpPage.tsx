import Markdown from 'markdown-to-jsx';
import type { ComponentProps } from 'react';
import { useEffect } from 'react';
import { Link, useLocation, useParams } from 'react-router';
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

/** A page of explanation, opened at the heading that the address names. */
export function HelpPage() {
  const { page = '' } = useParams();
  const { hash } = useLocation();
  const known = HELP_PAGES[page];
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash, page]);
  if (!known) return <NoSuchPage />;
  const [title = '', ...rest] = known.text.split('\n');
  return (
    <>
      <PageHead name={known.name} title={title.replace(/^# /, '')} />
      <Markdown
        className={styles.words}
        options={{ overrides: { a: { component: HelpLink } }, forceBlock: true, wrapper: 'div' }}
      >
        {rest.join('\n')}
      </Markdown>
    </>
  );
}
