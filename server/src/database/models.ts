import { AuditEntry } from '../audit/audit.model.js';
import { Book, Item } from '../books/book.model.js';
import { Job, JobItem, JobPhoto, JobStep } from '../job/job.model.js';
import {
  AttachmentRow,
  Machine,
  MachineBook,
  MachinePhoto,
  MachineSeason,
  StatusChange,
} from '../machine/machine.model.js';
import { Defect } from '../defect/defect.model.js';
import { UsedOilRow } from '../oil/usedOil.model.js';
import { MeterSegmentRow, ReadingPhoto, ReadingRow } from '../meter/meter.model.js';
import { Person } from '../people/person.model.js';
import { Declaration } from '../schedule/declaration.model.js';
import { EvidenceAnswerRow } from '../schedule/evidenceAnswer.model.js';
import { ItemOverrideRow } from '../schedule/itemOverride.model.js';
import { SeasonRow, SeasonYearRow } from '../season/season.model.js';
import { PhotoCount } from '../photo/photoCount.model.js';
import { Secret } from '../session/secret.model.js';
import { Session } from '../session/session.model.js';
import { Article, ItemArticleRow, Movement } from '../shelf/shelf.model.js';
import { Site } from '../site/site.model.js';
import { IdempotentRequest } from './idempotentRequest.model.js';

/** Every table that the program reads or writes. */
export const MODELS = [
  Article,
  AttachmentRow,
  AuditEntry,
  Book,
  Declaration,
  Defect,
  EvidenceAnswerRow,
  IdempotentRequest,
  Item,
  ItemArticleRow,
  ItemOverrideRow,
  Job,
  JobItem,
  JobPhoto,
  JobStep,
  Machine,
  MachineBook,
  MachinePhoto,
  MachineSeason,
  MeterSegmentRow,
  Movement,
  Person,
  PhotoCount,
  ReadingPhoto,
  ReadingRow,
  SeasonRow,
  SeasonYearRow,
  Secret,
  Session,
  Site,
  StatusChange,
  UsedOilRow,
] as const;
