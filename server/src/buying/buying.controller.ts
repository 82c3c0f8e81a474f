import { Body, Controller, Get, Param, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ArriveDto,
  BuyingFactsDto,
  BuyingQueryDto,
  CreateOrderDto,
  CreateSupplierDto,
  OrderDto,
  PartsUsedDto,
  SupplierDto,
  UpdateOrderDto,
  UpdateSupplierDto,
} from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { BuyingFacts } from './buyingFacts.js';
import { Orders } from './orders.js';
import { PartsUsed } from './partsUsed.js';
import { Suppliers } from './suppliers.js';

@ApiTags('buying')
@Controller('api')
export class BuyingController {
  constructor(
    private readonly facts: BuyingFacts,
    private readonly suppliers: Suppliers,
    private readonly orders: Orders,
    private readonly used: PartsUsed,
  ) {}

  @ApiOperation({
    summary: 'What the fleet will take, what lies there and is to come, and what is sold where',
  })
  @ApiOkResponse({ type: BuyingFactsDto })
  @Allow('crewLead', 'mechanic')
  @Get('buying')
  read(@Query() { weeks }: BuyingQueryDto): Promise<BuyingFactsDto> {
    return this.facts.read(weeks);
  }

  @ApiOperation({ summary: 'Which kits and parts a machine takes in a year, and took' })
  @ApiOkResponse({ type: PartsUsedDto })
  @ForEveryRole()
  @Get('machines/:id/parts-used')
  partsUsed(@Param('id', IdOf('machine')) id: string): Promise<PartsUsedDto> {
    return this.used.of(id);
  }

  @ApiOperation({ summary: 'Suppliers and what they sell' })
  @ApiOkResponse({ type: [SupplierDto] })
  @Allow('crewLead', 'mechanic')
  @Get('suppliers')
  listSuppliers(): Promise<SupplierDto[]> {
    return this.suppliers.list();
  }

  @ApiOperation({ summary: 'Take in a supplier' })
  @ApiCreatedResponse({ type: SupplierDto })
  @Allow('crewLead', 'mechanic')
  @Post('suppliers')
  createSupplier(@Body() body: CreateSupplierDto): Promise<SupplierDto> {
    return this.suppliers.create(body);
  }

  @ApiOperation({ summary: 'Change a supplier, and say anew what it sells' })
  @ApiOkResponse({ type: SupplierDto })
  @Allow('crewLead', 'mechanic')
  @Put('suppliers/:id')
  updateSupplier(
    @Param('id', IdOf('supplier')) id: string,
    @Body() body: UpdateSupplierDto,
  ): Promise<SupplierDto> {
    return this.suppliers.update(id, body);
  }

  @ApiOperation({ summary: 'Orders, those of which something is to come first' })
  @ApiOkResponse({ type: [OrderDto] })
  @Allow('crewLead', 'mechanic')
  @Get('orders')
  listOrders(): Promise<OrderDto[]> {
    return this.orders.list();
  }

  @ApiOperation({ summary: 'Write down what was ordered' })
  @ApiCreatedResponse({ type: OrderDto })
  @Allow('crewLead', 'mechanic')
  @Post('orders')
  createOrder(@Body() body: CreateOrderDto, @Caller() caller: Person): Promise<OrderDto> {
    return this.orders.create(body, caller);
  }

  @ApiOperation({ summary: 'Book what arrived of an order' })
  @ApiCreatedResponse({ type: OrderDto })
  @Allow('crewLead', 'mechanic')
  @Post('orders/:id/arrivals')
  arrive(
    @Param('id', IdOf('order')) id: string,
    @Body() body: ArriveDto,
    @Caller() caller: Person,
  ): Promise<OrderDto> {
    return this.orders.arrive(id, body, caller);
  }

  @ApiOperation({ summary: 'Say when the rest of an order comes, or that it does not' })
  @ApiOkResponse({ type: OrderDto })
  @Allow('crewLead', 'mechanic')
  @Put('orders/:id')
  updateOrder(@Param('id', IdOf('order')) id: string, @Body() body: UpdateOrderDto): Promise<OrderDto> {
    return this.orders.update(id, body);
  }
}
