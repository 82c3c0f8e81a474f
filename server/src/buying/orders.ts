import { Injectable } from '@nestjs/common';
import type { ArriveDto, CreateOrderDto, FieldFaultDto, OrderDto, UpdateOrderDto } from '@yugator/contracts';
import { roundQuantity } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Order, OrderLine, Supplier } from '../models/buying.model.js';
import type { Person } from '../models/person.model.js';
import { Article } from '../models/shelf.model.js';
import { namesById } from '../people/namesById.js';
import { fault, fieldProblem, notFound, Problem, stale } from '../problem/problem.js';
import { Ledger } from '../shelf/ledger.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { packFaults } from './packFaults.js';

const ORDERS_SHOWN = 100;

function toOrderDto(order: Order, names: ReadonlyMap<string, string>): OrderDto {
  const { lines = [] } = order;
  return {
    id: order.id,
    supplierId: order.supplierId,
    supplier: order.supplierName,
    orderedOn: order.orderedOn,
    expectedOn: order.expectedOn,
    by: names.get(order.orderedById) ?? '',
    carriageMinor: order.carriageMinor,
    note: order.note,
    isOpen: order.isOpen,
    version: order.version,
    lines: [...lines]
      .sort((a, b) => a.n - b.n)
      .map(({ articleId, number, pack, packs, priceMinor, arrived, article }) => ({
        articleId,
        number,
        pack,
        packs,
        priceMinor,
        arrived,
        name: article?.name ?? '',
        unit: article?.unit ?? ('piece' as const),
      })),
  };
}

/** What speaks against what is said to have arrived of an order. */
function arrivalFaults({ lines }: ArriveDto, ordered: readonly OrderLine[]): FieldFaultDto[] {
  return lines.flatMap(({ line, packs }, at) => {
    const found = ordered.find(({ n }) => n === line);
    if (!found) return [fault(`/lines/${at}/line`, 'unknown', 'The order has no such line.')];
    const open = found.packs - found.arrived;
    const detail = `Only ${open} of this line ${open === 1 ? 'is' : 'are'} still to come. What came besides is booked on the shelf.`;
    return packs > open ? [fault(`/lines/${at}/packs`, 'moreThanOrdered', detail)] : [];
  });
}

/** What was ordered, and what of it arrived. */
@Injectable()
export class Orders {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly ledger: Ledger,
  ) {}

  /** Orders of which something is to come, the first to arrive in front; then the latest of the others. */
  async list(): Promise<OrderDto[]> {
    const [open, others, names] = await Promise.all([
      Order.findAll({
        where: { isOpen: true },
        include: [{ model: OrderLine, include: [Article] }],
        order: ['expectedOn', 'id'],
      }),
      Order.findAll({
        where: { isOpen: false },
        include: [{ model: OrderLine, include: [Article], separate: true }],
        order: [
          ['orderedOn', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: ORDERS_SHOWN,
      }),
      namesById(),
    ]);
    return [...open, ...others].map((order) => toOrderDto(order, names));
  }

  async create(fields: CreateOrderDto, caller: Person): Promise<OrderDto> {
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      const supplier = await Supplier.findByPk(fields.supplierId);
      if (!supplier)
        throw fieldProblem(fault('/supplierId', 'unknown', 'This supplier is not known. Choose another.'));
      const faults = await packFaults(fields.lines, '/lines');
      if (fields.expectedOn < today)
        faults.push(fault('/expectedOn', 'past', 'That day is past. Give the day on which it is expected.'));
      if (faults.length) throw fieldProblem(...faults);
      const order = await Order.create({
        id: uuid(),
        supplierId: supplier.id,
        supplierName: supplier.name,
        orderedOn: today,
        expectedOn: fields.expectedOn,
        orderedById: caller.id,
        carriageMinor: fields.carriageMinor,
        note: fields.note,
        isOpen: true,
      });
      await OrderLine.bulkCreate(
        fields.lines.map(({ articleId, number, pack, packs, priceMinor }, n) => ({
          orderId: order.id,
          n,
          articleId,
          number,
          pack,
          packs,
          priceMinor,
          arrived: 0,
        })),
      );
      this.work.changed('shelf');
      return this.get(order.id);
    });
  }

  /** Books what arrived on the shelf; the order is closed with the last of it. */
  async arrive(id: string, fields: ArriveDto, caller: Person): Promise<OrderDto> {
    return this.work.run(async () => {
      const order = await this.lock(id, fields.version);
      const lines = await OrderLine.findAll({ where: { orderId: id }, order: ['n'] });
      const faults = arrivalFaults(fields, lines);
      if (faults.length) throw fieldProblem(...faults);
      const arrived = new Map(fields.lines.map(({ line, packs }) => [line, packs]));
      await this.ledger.receive(
        lines.flatMap(({ n, articleId, pack, priceMinor }) => {
          const packs = arrived.get(n) ?? 0;
          const came = { articleId, quantity: roundQuantity(packs * pack), valueMinor: packs * priceMinor };
          return packs > 0 ? [{ ...came, container: pack > 1 ? pack : null }] : [];
        }),
        { note: `From ${order.supplierName}`, shed: fields.shed || null },
        caller,
      );
      for (const line of lines)
        if (arrived.has(line.n)) await line.update({ arrived: line.arrived + (arrived.get(line.n) ?? 0) });
      const isOpen = lines.some((line) => line.arrived < line.packs);
      await order.update({ isOpen, version: order.version + 1 });
      return this.get(id);
    });
  }

  /** Says when the rest comes, or that it does not come. */
  async update(id: string, { expectedOn, note, isClosed, version }: UpdateOrderDto): Promise<OrderDto> {
    return this.work.run(async () => {
      const order = await this.lock(id, version);
      await order.update({ expectedOn, note, isOpen: !isClosed, version: version + 1 });
      this.work.changed('shelf');
      return this.get(id);
    });
  }

  private async lock(id: string, version: number): Promise<Order> {
    const order = await Order.findByPk(id, { lock: true });
    if (!order) throw notFound('order');
    if (order.version !== version) throw stale('order', await this.get(id));
    if (!order.isOpen)
      throw new Problem(
        409,
        'Nothing is to come',
        'All of this order has arrived, or its rest was given up.',
        [],
        {
          current: await this.get(id),
        },
      );
    return order;
  }

  private async get(id: string): Promise<OrderDto> {
    const order = await Order.findByPk(id, { include: [{ model: OrderLine, include: [Article] }] });
    if (!order) throw notFound('order');
    return toOrderDto(order, await namesById());
  }
}
