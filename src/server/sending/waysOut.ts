import type { Database } from '../../data/database';
import type { OutgoingLetter } from '../../data/repositories/sending/outgoing';
import { accountOfId } from '../../data/repositories/accounts/mailAccounts';
import { MailConnections } from '../../post/mailConnections';
import type { MailServer } from '../../post/mailServer';
import { serverOf } from '../accounts/serverOf';
import { signingInTo } from '../accounts/signingInTo';

/** How many letters go at once to the application's own server, each over a connection of its own; fewer where it wants that. */
const TO_SERVER = 24;
/** And to that of an account: providers allow few. */
const TO_ACCOUNT = 4;

/** What was an account is none any more, or not as it was: its letters are claimed anew. */
export class AccountChanged extends Error {}

/** The connections by which letters leave: those to the application's own server, and those of each account. */
export class WaysOut {
  readonly #database: Database;
  readonly #server: MailConnections;
  readonly #accounts = new Map<string, { version: number; connections: MailConnections }>();

  constructor(database: Database, server: MailServer) {
    this.#database = database;
    this.#server = new MailConnections(server, TO_SERVER);
  }

  /**
   * The connections by which a letter leaves.
   * @throws AccountChanged; NoKey where the account's secret cannot be opened
   */
  async of(
    letter: Pick<OutgoingLetter, 'business_id' | 'account_id' | 'account_version'>,
  ): Promise<MailConnections> {
    const { business_id, account_id: id, account_version: version } = letter;
    if (id === null || version === null) return this.#server;
    const known = this.#accounts.get(id);
    if (known?.version === version) return known.connections;
    const account = await accountOfId(this.#database, 'sending', { business_id, id });
    if (account?.version !== version) throw new AccountChanged();
    const signingIn = signingInTo(this.#database, 'sending', account);
    // Another letter may have got it meanwhile.
    const now = this.#accounts.get(id);
    if (now?.version === version) return now.connections;
    now?.connections.stop();
    const connections = new MailConnections(serverOf(account, signingIn), TO_ACCOUNT);
    this.#accounts.set(id, { version, connections });
    return connections;
  }

  /** Closes what was not used lately, and forgets accounts of which nothing is. */
  closeIdle(): void {
    this.#server.closeIdle();
    for (const [id, { connections }] of this.#accounts)
      if (connections.closeIdle()) this.#accounts.delete(id);
  }

  /** Refuses what has not begun; what has goes on. */
  stop(): void {
    this.#server.stop();
    for (const { connections } of this.#accounts.values()) connections.stop();
  }
}
