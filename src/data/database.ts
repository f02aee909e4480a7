import pg from 'pg';
import { Sequelize, type Transaction } from 'sequelize';
import { table, type TableOf } from './column';
import { BUSINESS, CUSTOM_FIELD, LINK, PARTNER } from './models/business';
import { CLIENT, CONTACT, ENQUIRY, ITEM } from './models/client';
import { FILE, RECORD_FILE } from './models/file';
import { INSTALMENT, INVOICE, INVOICE_LINE, PAYMENT } from './models/invoice';
import { MEMBER, SESSION, SIGNATURE } from './models/member';
import { DELIVERY_EVENT, MESSAGE, MESSAGE_RECIPIENT } from './models/message';
import { BOOKING, BOOKING_ITEM, PROJECT, PROJECT_CONTACT, PROJECT_PARTNER } from './models/project';
import { PASSAGE, TEMPLATE, TEMPLATE_GROUP, TEMPLATE_VERSION } from './models/template';
import { withoutValues } from './withoutValues';

/** Every table by its name, in an order in which rows may be written. */
export const TABLES = {
  business: BUSINESS,
  custom_field: CUSTOM_FIELD,
  member: MEMBER,
  session: SESSION,
  partner: PARTNER,
  client: CLIENT,
  contact: CONTACT,
  item: ITEM,
  project: PROJECT,
  project_contact: PROJECT_CONTACT,
  project_partner: PROJECT_PARTNER,
  enquiry: ENQUIRY,
  booking: BOOKING,
  booking_item: BOOKING_ITEM,
  invoice: INVOICE,
  invoice_line: INVOICE_LINE,
  payment: PAYMENT,
  instalment: INSTALMENT,
  template_group: TEMPLATE_GROUP,
  template: TEMPLATE,
  template_version: TEMPLATE_VERSION,
  passage: PASSAGE,
  signature: SIGNATURE,
  link: LINK,
  file: FILE,
  record_file: RECORD_FILE,
  message: MESSAGE,
  message_recipient: MESSAGE_RECIPIENT,
  delivery_event: DELIVERY_EVENT,
} as const;

export type TableName = keyof typeof TABLES;

export type Models = { [Name in TableName]: TableOf<(typeof TABLES)[Name]> };

export interface Database {
  sequelize: Sequelize;
  models: Models;
  /** Runs everything in one transaction: all of it is kept, or nothing. */
  inTransaction<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

// Money is bigint in the database and a safe integer in the core.
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new Error(`${text} is too large a number`);
  return value;
});

/** Nothing that a page or a letter asks takes so long, in seconds; what does is ended. */
const LONGEST_STATEMENT = 30;

/**
 * Opens a database. Nothing is connected before the first query.
 * @param statementSeconds how long a statement may take; 0: as long as it does
 */
export function openDatabase(
  url: string,
  {
    connections = 8,
    statementSeconds = LONGEST_STATEMENT,
  }: { connections?: number; statementSeconds?: number } = {},
): Database {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: connections, min: 0, idle: 10_000, acquire: 15_000 },
    dialectOptions: {
      application_name: 'fair-quill',
      connectionTimeoutMillis: 10_000,
      statement_timeout: statementSeconds * 1000,
      idle_in_transaction_session_timeout: 60_000,
    },
  });
  const query = sequelize.query.bind(sequelize);
  sequelize.query = ((...asked: Parameters<typeof query>) =>
    query(...asked).catch((error: unknown) => {
      throw withoutValues(error);
    })) as typeof sequelize.query;
  const models = Object.fromEntries(
    Object.entries(TABLES).map(([name, columns]) => [name, table(sequelize, name, columns as never)]),
  ) as unknown as Models;
  return {
    sequelize,
    models,
    inTransaction: (work) => sequelize.transaction(work),
    close: () => sequelize.close(),
  };
}
