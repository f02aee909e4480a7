import { AsyncLocalStorage } from 'node:async_hooks';
import pg from 'pg';
import { Sequelize, Transaction, type QueryOptions, type TransactionOptions } from 'sequelize';
import { table, type TableOf } from './column';
import { BRINGING, BROUGHT_RECORD, BROUGHT_ROWS, FOREIGN_NAME } from './models/bringing';
import { BUSINESS, CUSTOM_FIELD, LINK, PARTNER } from './models/business';
import { CLIENT, CONTACT, ENQUIRY, ITEM } from './models/client';
import { ENQUIRY_FORM } from './models/enquiryForm';
import { FILE, FILE_ROOM, LETTER_FILE, OWN_FILE, RECORD_FILE } from './models/file';
import { INSTALMENT, INVOICE, INVOICE_LINE, PAYMENT } from './models/invoice';
import { MAILBOX, MAILBOX_FOLDER, SENDING_ACCOUNT, SIGNING_KEY } from './models/mailAccount';
import { MEMBER, MORNING_LETTER, SESSION, SIGNATURE } from './models/member';
import {
  ATTACHMENT,
  DELIVERY_EVENT,
  DRAFT,
  HELD_DAY,
  INCOMING,
  LETTER_FOR_LATER,
  MESSAGE,
  MESSAGE_RECIPIENT,
} from './models/message';
import { BOOKING, BOOKING_ITEM, PROJECT, PROJECT_CONTACT, PROJECT_PARTNER } from './models/project';
import {
  LETTERHEAD,
  PASSAGE,
  SHORTHAND,
  TEMPLATE,
  TEMPLATE_GROUP,
  TEMPLATE_VERSION,
} from './models/template';
import { MERGED_CLIENT, PAYMENT_PLAN, REMOVED_RECORD, SERVICE, WORK_WAYS } from './models/work';
import { withoutValues } from './withoutValues';

/** Every table by its name, in an order in which rows may be written. */
export const TABLES = {
  business: BUSINESS,
  custom_field: CUSTOM_FIELD,
  work_ways: WORK_WAYS,
  service: SERVICE,
  payment_plan: PAYMENT_PLAN,
  member: MEMBER,
  session: SESSION,
  morning_letter: MORNING_LETTER,
  sending_account: SENDING_ACCOUNT,
  mailbox: MAILBOX,
  mailbox_folder: MAILBOX_FOLDER,
  signing_key: SIGNING_KEY,
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
  letterhead: LETTERHEAD,
  template: TEMPLATE,
  template_version: TEMPLATE_VERSION,
  passage: PASSAGE,
  shorthand: SHORTHAND,
  enquiry_form: ENQUIRY_FORM,
  signature: SIGNATURE,
  link: LINK,
  file: FILE,
  own_file: OWN_FILE,
  letter_file: LETTER_FILE,
  record_file: RECORD_FILE,
  file_room: FILE_ROOM,
  message: MESSAGE,
  message_recipient: MESSAGE_RECIPIENT,
  letter_for_later: LETTER_FOR_LATER,
  held_day: HELD_DAY,
  draft: DRAFT,
  attachment: ATTACHMENT,
  delivery_event: DELIVERY_EVENT,
  incoming: INCOMING,
  removed_record: REMOVED_RECORD,
  merged_client: MERGED_CLIENT,
  bringing: BRINGING,
  foreign_name: FOREIGN_NAME,
  brought_rows: BROUGHT_ROWS,
  brought_record: BROUGHT_RECORD,
} as const;

export type TableName = keyof typeof TABLES;

type Models = { [Name in TableName]: TableOf<(typeof TABLES)[Name]> };

export interface Database {
  sequelize: Sequelize;
  models: Models;
  /**
   * Works for one business, in one transaction on one connection, through which every query inside goes. No row of another
   * business is there for it. Within the like it is a part of that.
   * @throws Error within work for another business
   */
  inBusiness<T>(business_id: string, work: () => Promise<T>): Promise<T>;
  /** The same for all businesses at once: for what is not one's, as signing in. */
  acrossBusinesses<T>(work: () => Promise<T>): Promise<T>;
  /** Reads of one business what was there at one moment, however long that takes. */
  inSnapshot<T>(business_id: string, work: () => Promise<T>): Promise<T>;
  /** Keeps all of something or nothing; within a transaction it is a part of it that can fail alone. */
  inTransaction<T>(work: () => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

// Money is bigint in the database and a safe integer in the core.
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new Error(`${text} is too large a number`);
  return value;
});

const EVERY = 'every';

/** The last query of each connection that a transaction is on. */
const last = new WeakMap<object, Promise<unknown>>();

/** A connection takes one query after another; those of one transaction that are asked at once wait for each other. */
function inTurn<T>(transaction: Transaction, ask: () => Promise<T>): Promise<T> {
  const { connection } = transaction as unknown as { connection?: object };
  if (!connection) return ask();
  const asked = (last.get(connection) ?? Promise.resolve()).then(ask, ask);
  last.set(connection, asked);
  return asked;
}

/** Nothing that a page or a letter asks takes so long, in seconds; what does is ended. */
const LONGEST_STATEMENT = 30;

/**
 * Opens a database. Nothing is connected before the first query.
 * @param statementSeconds how long a statement may take; 0: as long as it does
 * @param across whether its connections work for all businesses from the first, as a worker's do
 */
export function openDatabase(
  url: string,
  {
    connections = 8,
    statementSeconds = LONGEST_STATEMENT,
    across = false,
  }: { connections?: number; statementSeconds?: number; across?: boolean } = {},
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
      ...(across ? { options: `-c fairquill.business=${EVERY}` } : {}),
    },
  });
  const open = new AsyncLocalStorage<{ transaction: Transaction; business?: string | undefined }>();
  const query = sequelize.query.bind(sequelize) as (
    sql: Parameters<typeof sequelize.query>[0],
    options?: QueryOptions,
  ) => Promise<unknown>;
  sequelize.query = ((sql: Parameters<typeof query>[0], options?: QueryOptions) => {
    const transaction = options?.transaction ?? open.getStore()?.transaction;
    const ask = () => query(sql, transaction ? { ...options, transaction } : options);
    return (transaction ? inTurn(transaction, ask) : ask()).catch((error: unknown) => {
      throw withoutValues(error);
    });
  }) as typeof sequelize.query;
  const models = Object.fromEntries(
    Object.entries(TABLES).map(([name, columns]) => [name, table(sequelize, name, columns as never)]),
  ) as unknown as Models;
  const inTransaction = <T>(
    work: () => Promise<T>,
    business = open.getStore()?.business,
    more: TransactionOptions = {},
  ): Promise<T> => {
    const parent = open.getStore()?.transaction;
    return sequelize.transaction({ ...more, ...(parent ? { transaction: parent } : {}) }, (transaction) =>
      open.run({ transaction, business }, work),
    );
  };
  const workFor = <T>(business: string, work: () => Promise<T>, more?: TransactionOptions): Promise<T> => {
    const within = open.getStore()?.business;
    if (within === business) return work();
    if (within !== undefined) throw new Error('Work for one business cannot ask for another.');
    return inTransaction(
      async () => {
        await sequelize.query("select set_config('fairquill.business', $business, true)", {
          bind: { business },
        });
        return work();
      },
      business,
      more,
    );
  };
  return {
    sequelize,
    models,
    inBusiness: (business, work) => workFor(business, work),
    inSnapshot: (business, work) =>
      workFor(business, work, { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ }),
    acrossBusinesses: (work) => workFor(EVERY, work),
    inTransaction: (work) => inTransaction(work),
    close: () => sequelize.close(),
  };
}
