import { Controller, Get, Header, Param, Query, Req, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { CODES_OF_SHEET, CodesQueryDto, MachineRefDto } from '@yugator/contracts';
import type { FastifyRequest } from 'fastify';
import { Op } from 'sequelize';
import { Machine } from '../models/machine.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { ForEveryRole, TakesLong } from '../session/allow.js';
import { PrintShop } from './printShop.js';

/** Codes on machines, and what they lead to. */
@ApiTags('machines')
@Controller('api/codes')
export class CodesController {
  constructor(private readonly shop: PrintShop) {}

  @ApiOperation({
    summary: 'Stickers with the codes of machines, as PDF; they lead to the address that was asked',
  })
  @ForEveryRole()
  @TakesLong()
  @Header('content-type', 'application/pdf')
  @Get('stickers.pdf')
  async stickers(
    @Query() { paper = 'a4', size = 'small', from = 1, machineId }: CodesQueryDto,
    @Req() { protocol, host }: FastifyRequest,
  ): Promise<StreamableFile> {
    if (from > CODES_OF_SHEET[paper][size]) {
      const detail = `This sheet has ${CODES_OF_SHEET[paper][size]} labels. Give the first that is still there.`;
      throw fieldProblem(fault('/from', 'beyond', detail));
    }
    return this.shop.print(async () => {
      const machines = await Machine.findAll({
        where: machineId ? { id: machineId } : { status: { [Op.ne]: 'retired' } },
        attributes: ['tag', 'name'],
        order: ['tag'],
        raw: true,
      });
      if (machines.length === 0) throw notFound('machine');
      const codes = machines.map(({ tag, name }) => ({
        tag,
        name,
        address: `${protocol}://${host}/m/${encodeURIComponent(tag)}`,
      }));
      return { kind: 'codes', paper, size, codes, from };
    });
  }

  @ApiOperation({ summary: 'The machine of a plate' })
  @ApiOkResponse({ type: MachineRefDto })
  @ForEveryRole()
  @Get(':tag')
  async machine(@Param('tag') tag: string): Promise<MachineRefDto> {
    const machine = await Machine.findOne({ where: { tag }, attributes: ['id', 'tag', 'name'] });
    if (!machine) throw notFound('machine');
    return { id: machine.id, tag: machine.tag, name: machine.name };
  }
}
