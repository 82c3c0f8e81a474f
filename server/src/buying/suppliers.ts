import { Injectable } from '@nestjs/common';
import type { CreateSupplierDto, FieldFaultDto, SupplierDto, UpdateSupplierDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { Article } from '../models/shelf.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { packFaults } from './packFaults.js';

function toSupplierDto(supplier: Supplier): SupplierDto {
  const { id, name, leadDays, carriageMinor, freeFromMinor, note, version, offers = [] } = supplier;
  return {
    id,
    name,
    leadDays,
    carriageMinor,
    freeFromMinor,
    note,
    isRetired: supplier.retiredAt !== null,
    version,
    offers: offers
      .map(({ articleId, number, pack, priceMinor, leadDays: days, article }) => ({
        articleId,
        number,
        pack,
        priceMinor,
        leadDays: days,
        name: article?.name ?? '',
        unit: article?.unit ?? ('piece' as const),
      }))
      .sort((a, b) => a.name.localeCompare(b.name) || a.pack - b.pack),
  };
}

async function nameFaults(name: string, id: string | null): Promise<FieldFaultDto[]> {
  const other = await Supplier.findOne({ where: { name, id: { [Op.ne]: id ?? '' } } });
  return other ? [fault('/name', 'taken', 'There is already a supplier of this name.')] : [];
}

/** Where things are bought, in what packs, at what price. */
@Injectable()
export class Suppliers {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  /** All suppliers by name, those no longer bought from last. */
  async list(): Promise<SupplierDto[]> {
    const suppliers = await Supplier.findAll({
      include: [{ model: OfferRow, include: [Article] }],
      order: ['name'],
    });
    return suppliers.map(toSupplierDto).sort((a, b) => Number(a.isRetired) - Number(b.isRetired));
  }

  async create(fields: CreateSupplierDto): Promise<SupplierDto> {
    return this.work.run(async () => {
      const faults = await nameFaults(fields.name, null);
      if (faults.length) throw fieldProblem(...faults);
      const { name, leadDays, carriageMinor, freeFromMinor, note } = fields;
      const { id } = await Supplier.create({
        id: uuid(),
        name,
        leadDays,
        carriageMinor,
        freeFromMinor,
        note,
      });
      this.work.changed('shelf');
      return this.get(id);
    });
  }

  /** Changes a supplier and says anew what it sells. */
  async update(id: string, fields: UpdateSupplierDto): Promise<SupplierDto> {
    const { offers, isRetired, version, ...columns } = fields;
    return this.work.run(async () => {
      const supplier = await Supplier.findByPk(id, { lock: true });
      if (!supplier) throw notFound('supplier');
      if (supplier.version !== version) throw stale('supplier', await this.get(id));
      const faults = [...(await nameFaults(columns.name, id)), ...(await packFaults(offers, '/offers'))];
      if (faults.length) throw fieldProblem(...faults);
      const { name, leadDays, carriageMinor, freeFromMinor, note } = columns;
      const retiredAt = isRetired ? (supplier.retiredAt ?? new Date(this.clock.now())) : null;
      await supplier.update({
        name,
        leadDays,
        carriageMinor,
        freeFromMinor,
        note,
        retiredAt,
        version: version + 1,
      });
      await OfferRow.destroy({ where: { supplierId: id } });
      await OfferRow.bulkCreate(
        offers.map(({ articleId, number, pack, priceMinor, leadDays: days }) => ({
          supplierId: id,
          articleId,
          number,
          pack,
          priceMinor,
          leadDays: days,
        })),
      );
      this.work.changed('shelf');
      return this.get(id);
    });
  }

  private async get(id: string): Promise<SupplierDto> {
    const supplier = await Supplier.findByPk(id, { include: [{ model: OfferRow, include: [Article] }] });
    if (!supplier) throw notFound('supplier');
    return toSupplierDto(supplier);
  }
}
