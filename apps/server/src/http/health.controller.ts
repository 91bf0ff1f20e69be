import { Controller, Get, Inject } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { BodyMemory } from './body-memory.js';

interface Health {
  readonly status: 'ok';
  /** Refused while so much is being written that large changes are asked to come again. */
  readonly writing: 'ok' | 'refused';
}

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(BodyMemory) private readonly memory: BodyMemory,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Says whether the server and its database are well' })
  async health(): Promise<Health> {
    await this.database.query('SELECT 1');
    return { status: 'ok', writing: this.memory.isFull ? 'refused' : 'ok' };
  }
}
