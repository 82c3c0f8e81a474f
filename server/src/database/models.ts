import { Book, Item, ItemTrigger } from '../books/book.model.js';
import { Job, JobItem } from '../job/job.model.js';
import { Machine, MachineBook } from '../machine/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../meter/meter.model.js';
import { Person } from '../people/person.model.js';
import { Declaration } from '../schedule/declaration.model.js';
import { Session } from '../session/session.model.js';
import { Article, ItemArticleRow, Movement } from '../shelf/shelf.model.js';
import { Site } from '../site/site.model.js';
import { IdempotentRequest } from './idempotentRequest.model.js';

/** Every table that the program reads or writes. */
export const MODELS = [
  Article,
  Book,
  Declaration,
  IdempotentRequest,
  Item,
  ItemArticleRow,
  ItemTrigger,
  Job,
  JobItem,
  Machine,
  MachineBook,
  MeterSegmentRow,
  Movement,
  Person,
  ReadingRow,
  Session,
  Site,
] as const;
