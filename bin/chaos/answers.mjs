import { createTransport } from 'nodemailer';
import { ask } from './letters.mjs';

/** So many are brought at once. */
const AT_ONCE = 4;
const AGAIN = 300;

/**
 * Somebody answers letters while things are killed. Each answer is brought until it is taken, as mail servers do; some are brought once more,
 * as by one that has not heard that it was.
 * @param port where mail comes in
 */
export function answersAt(port, random) {
  const answered = [];
  const open = [];
  let bringing = [];
  let tries = 0;
  let over = false;

  async function bringNext() {
    while (open.length > 0) {
      const letter = open.shift();
      const raw = [
        `From: Somebody <somebody@chaos.example>`,
        'To: imke@larkfield.example',
        'Subject: Re: A letter',
        `Message-ID: <${letter}@chaos.example>`,
        `In-Reply-To: <${letter}@larkfield.example>`,
        '',
        'Thank you.',
        '',
      ].join('\r\n');
      while (!over && !(await bring(port, raw))) await new Promise((resolve) => setTimeout(resolve, AGAIN));
      if (random() < 0.2) await bring(port, raw);
    }
  }

  async function bring(to, raw) {
    tries++;
    const transport = createTransport({
      host: '127.0.0.1',
      port: to,
      lmtp: true,
      ignoreTLS: true,
      connectionTimeout: 5000,
      greetingTimeout: 5000,
      socketTimeout: 15_000,
    });
    try {
      const { rejected } = await transport.sendMail({
        envelope: { from: 'somebody@chaos.example', to: 'imke@larkfield.example' },
        raw,
      });
      // By LMTP each reader has an answer of its own (RFC 2033, 4.2): a refusal is no error of the sending.
      return rejected.length === 0;
    } catch {
      return false;
    } finally {
      transport.close();
    }
  }

  return {
    /** Answers a letter. */
    to(letter) {
      answered.push(letter);
      open.push(letter);
      bringing = bringing.filter(({ done }) => !done);
      if (bringing.length >= AT_ONCE) return;
      const one = { done: false };
      one.work = bringNext().finally(() => (one.done = true));
      bringing.push(one);
    },

    /** What became of them, when all have been taken or `most` milliseconds are over. */
    async end(urlOf, most) {
      const timer = setTimeout(() => (over = true), most);
      await Promise.all(bringing.map(({ work }) => work));
      clearTimeout(timer);
      const found = await ask(
        urlOf,
        `select split_part(message_id, '@', 1) as letter, answers::text, (select count(*)::int from incoming
           where incoming.message_id = message.id) as times
         from message where direction = 'in' and message_id like '%@chaos.example'`,
      );
      const times = new Map();
      for (const { letter } of found) times.set(letter, (times.get(letter) ?? 0) + 1);
      return {
        answered: answered.length,
        tries,
        lost: answered.filter((letter) => !times.has(letter)).length,
        doubled: [...times.values()].filter((n) => n > 1).length,
        'without their letter': found.filter(({ letter, answers, times: n }) => answers !== letter || n !== 1)
          .length,
      };
    },
  };
}
