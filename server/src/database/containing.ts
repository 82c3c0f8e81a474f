import { Op } from 'sequelize';

/** Matches what contains `words`; the wildcards of LIKE are taken literally. */
export function containing(words: string): { [Op.like]: string } {
  return { [Op.like]: `%${words.replace(/[\\%_]/g, '\\$&')}%` };
}
