import type { ArticleDto, MovementDto } from '@yugator/contracts';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { momentWords } from '../words/dates.js';
import { moneyWords } from '../words/figures.js';

/** What a movement was, in words. */
export function movementWords({
  kind,
  machineTag,
  quantity,
}: Pick<MovementDto, 'kind' | 'machineTag' | 'quantity'>): string {
  switch (kind) {
    case 'received':
      return 'came in';
    case 'counted':
      return 'corrected by a count';
    case 'left':
      return machineTag ? `left of a kit opened for ${machineTag}` : 'left of a kit';
    case 'drawn':
      return machineTag ? `used on ${machineTag}` : 'used';
    case 'scrapped':
      return 'thrown away';
    case 'lent':
      return 'lent';
    case 'moved':
      return quantity < 0 ? 'taken to another shed' : 'brought from another shed';
    case 'returned':
      return 'came back';
  }
}

/** The latest of what came and went. */
export function Movements({ article }: { article: ArticleDto }) {
  const { site, today } = useSession();
  const stock = useStockWords();
  if (article.movements.length === 0) return null;
  return (
    <details>
      <summary className="soft">Latest movements</summary>
      <ul style={{ margin: '6px 0', paddingLeft: 18 }}>
        {article.movements.map((movement, index) => (
          <li key={index} style={movement.voided ? { textDecoration: 'line-through' } : undefined}>
            <span className="fig">
              {movement.quantity > 0 ? '+' : ''}
              {stock(movement.quantity, article.unit)}
            </span>{' '}
            {movementWords(movement)}
            {movement.shed ? ` (${movement.shed})` : ''},{' '}
            {moneyWords(Math.abs(movement.valueMinor), site.currency)},{' '}
            {momentWords(movement.at, site.timeZone, today)}
            {movement.by ? `, ${movement.by}` : ''}
            {movement.note ? `: ${movement.note}` : ''}
          </li>
        ))}
      </ul>
    </details>
  );
}
