// Measures lists of the shelf of 10,000 lines, asked of the running program: what they would do, and taken in.
const LINES = 10_000;
const MOST_MS = 5000;

function articles(priceOf) {
  return Array.from({ length: LINES }, (_, at) => [
    `X-${at}`,
    `Filter no. ${at}`,
    'part',
    'piece',
    'engine oil filter',
    priceOf(at),
    `Bin ${at % 50}`,
    '80',
  ]);
}

/** Prints how long the list takes to be looked at and taken in, new and changed; true where all is quick enough. */
export async function benchLists(client) {
  const { rows: known } = JSON.parse((await client.ask('GET', '/shelf-lists/articles')).body.toString());
  const price = known[0].find((heading) => heading.startsWith('price'));
  const head = ['number', 'name', 'kind', 'counted in', 'component', price, 'place', 'height (mm)'];
  let worst = 0;
  for (const [what, priceOf] of [
    ['new', (at) => (5 + (at % 100) / 10).toFixed(2)],
    ['changed', () => '9.99'],
  ]) {
    const rows = [head, ...articles(priceOf)];
    const looked = await client.ask('POST', '/shelf-lists/articles', { rows });
    const { shown } = JSON.parse(looked.body.toString());
    const taken = await client.ask('POST', '/shelf-lists/articles', { rows, shown });
    if (!JSON.parse(taken.body.toString()).written) throw new Error('The list was not taken in.');
    worst = Math.max(worst, looked.took, taken.took);
    console.log(
      `  ${LINES} ${what} articles as a list: looked at       ${looked.took.toFixed(0)} ms, taken in ${taken.took.toFixed(0)} ms (at most ${MOST_MS} ms each)`,
    );
  }
  return worst <= MOST_MS;
}
