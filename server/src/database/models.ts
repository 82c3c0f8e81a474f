import { AuditEntry } from '../models/audit.model.js';
import { OfferRow, Order, OrderLine, Supplier } from '../models/buying.model.js';
import { Book, Item } from '../models/book.model.js';
import { Job, JobDefect, JobItem, JobPhoto, JobStep, TopUpRow } from '../models/job.model.js';
import {
  AttachmentRow,
  Machine,
  MachineBook,
  AccessPhoto,
  MachinePhoto,
  MachineSeason,
  StatusChange,
} from '../models/machine.model.js';
import { Defect, DefectPhoto } from '../models/defect.model.js';
import { UsedOilRow } from '../models/usedOil.model.js';
import { MeterSegmentRow, ReadingPhoto, ReadingRow } from '../models/meter.model.js';
import { Person } from '../models/person.model.js';
import { Declaration } from '../models/declaration.model.js';
import { EvidenceAnswerRow } from '../models/evidenceAnswer.model.js';
import { ItemOverrideRow } from '../models/itemOverride.model.js';
import { SeasonRow, SeasonYearRow } from '../models/season.model.js';
import { PhotoCount } from '../models/photoCount.model.js';
import { Secret } from '../models/secret.model.js';
import { Session, ShedDevice } from '../models/session.model.js';
import {
  Article,
  ArticlePhoto,
  FitRow,
  ItemArticleRow,
  KitPartRow,
  Movement,
  TakeRow,
} from '../models/shelf.model.js';
import { Site } from '../models/site.model.js';
import {
  NeededDaysRow,
  PlanProposalRow,
  VisitCard,
  VisitCardDefect,
  VisitCardItem,
  WorkshopAbsence,
  WorkshopDayException,
  WorkshopHand,
  WorkshopWeekday,
} from '../models/plan.model.js';
import { IdempotentRequest } from '../models/idempotentRequest.model.js';

/** Every table that the program reads or writes. */
export const MODELS = [
  Article,
  ArticlePhoto,
  AttachmentRow,
  AuditEntry,
  Book,
  Declaration,
  Defect,
  DefectPhoto,
  EvidenceAnswerRow,
  IdempotentRequest,
  Item,
  FitRow,
  ItemArticleRow,
  ItemOverrideRow,
  Job,
  JobDefect,
  JobItem,
  JobPhoto,
  JobStep,
  KitPartRow,
  Machine,
  MachineBook,
  AccessPhoto,
  MachinePhoto,
  MachineSeason,
  MeterSegmentRow,
  Movement,
  OfferRow,
  Order,
  OrderLine,
  Person,
  PhotoCount,
  ReadingPhoto,
  ReadingRow,
  SeasonRow,
  SeasonYearRow,
  Secret,
  Session,
  ShedDevice,
  Site,
  StatusChange,
  Supplier,
  TakeRow,
  TopUpRow,
  UsedOilRow,
  NeededDaysRow,
  PlanProposalRow,
  VisitCard,
  VisitCardDefect,
  VisitCardItem,
  WorkshopAbsence,
  WorkshopDayException,
  WorkshopHand,
  WorkshopWeekday,
] as const;
