import type { MigrationInterface, QueryRunner } from 'typeorm';

const AMOUNTS = [
  'sent_price',
  'sent_cost',
  'sent_contingency',
  'sent_variable_cost',
  'sent_materials',
  'sent_labour',
  'sent_hours',
  'sent_other',
];
const TEXTS = ['sent_name', 'sent_note', 'sent_unit'];

/** What a quote keeps of its options when it is sent. */
export class SentQuotes1766400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const columns = [
      ...AMOUNTS.map((name) => `ADD COLUMN ${name} numeric CHECK (${name} >= 0)`),
      'ADD COLUMN sent_tax_percent numeric CHECK (sent_tax_percent >= 0 AND sent_tax_percent <= 100)',
      ...TEXTS.map((name) => `ADD COLUMN ${name} text NOT NULL DEFAULT ''`),
    ];
    await runner.query(`ALTER TABLE row_quote_option ${columns.join(', ')}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    const columns = [...AMOUNTS, 'sent_tax_percent', ...TEXTS].map((name) => `DROP COLUMN ${name}`);
    await runner.query(`ALTER TABLE row_quote_option ${columns.join(', ')}`);
  }
}
