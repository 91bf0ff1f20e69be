import { KIND_NAMES, KINDS } from '@nuvar/book';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { SignInRequest, SignUpRequest } from '../accounts/requests.js';
import { MemberRequest } from '../book/requests.js';
import { rowSchemas } from './row-schemas.js';

const CHANGE = {
  type: 'object',
  required: ['id', 'operations'],
  properties: {
    id: {
      type: 'string',
      format: 'uuid',
      description: 'Made where the change is made. Sent twice, it is applied once.',
    },
    undoes: { type: 'string', format: 'uuid' },
    operations: {
      type: 'array',
      items: {
        oneOf: [
          {
            type: 'object',
            required: ['action', 'kind', 'row'],
            properties: { action: { enum: ['create'] }, kind: { enum: [...KIND_NAMES] }, row: { type: 'object' } },
          },
          {
            type: 'object',
            required: ['action', 'kind', 'id', 'before', 'after'],
            properties: {
              action: { enum: ['update'] },
              kind: { enum: [...KIND_NAMES] },
              id: { type: 'string' },
              before: { type: 'object' },
              after: { type: 'object' },
            },
          },
          {
            type: 'object',
            required: ['action', 'kind', 'id', 'version'],
            properties: {
              action: { enum: ['remove'] },
              kind: { enum: [...KIND_NAMES] },
              id: { type: 'string' },
              version: { type: 'integer' },
            },
          },
        ],
      },
    },
  },
};

/** Serves the description of the API at /api/docs, with the row classes as its schemas. */
export function serveOpenApi(app: INestApplication): void {
  const config = new DocumentBuilder()
    .setTitle('Nuvar')
    .setDescription('Books, changes and figures. Decimals travel as strings.')
    .setVersion('1')
    .build();
  const document: OpenAPIObject = SwaggerModule.createDocument(app, config);
  const named = new Set([
    ...KIND_NAMES.map((kind) => KINDS[kind].rowClass.name),
    ...[SignUpRequest, SignInRequest, MemberRequest].map(({ name }) => name),
  ]);
  const rows = Object.fromEntries(
    Object.entries(rowSchemas('#/components/schemas/')).filter(([name]) => named.has(name)),
  );
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...rows, Change: CHANGE } as never,
  };
  SwaggerModule.setup('api/docs', app, document);
}
