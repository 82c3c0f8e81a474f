import type { FieldFaultDto } from '@yugator/contracts';
import { fault } from '../problem/problem.js';
import { foldedName } from '../session/signInGuard.js';
import { isCommonPassword } from './commonPasswords.js';

/** A password of fewer different characters is soon guessed, however long it is. */
const FEWEST_CHARACTERS = 5;

/** What speaks against a password that somebody called `name` chooses; its length is checked before. */
export function passwordFaults(password: string, name: string, pointer = '/password'): FieldFaultDto[] {
  if (isCommonPassword(password)) {
    const detail = 'This is one of the passwords that are tried first. Take a short sentence of your own.';
    return [fault(pointer, 'common', detail)];
  }
  const [bare, person] = [
    foldedName(password).replace(/\p{N}/gu, ''),
    foldedName(name).replace(/\p{N}/gu, ''),
  ];
  const isName = bare !== '' && (person.includes(bare) || bare === person + person);
  if (isName) return [fault(pointer, 'name', 'A name is soon guessed. Take a short sentence of your own.')];
  if (new Set(password).size < FEWEST_CHARACTERS) {
    return [fault(pointer, 'repeated', 'This repeats itself. Take a short sentence of your own.')];
  }
  return [];
}
