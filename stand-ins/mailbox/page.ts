import { escape } from '../escape';
import type { Letter, Letters } from './letters';
import { unsubscribeAddress } from './unsubscribe';

const STYLE = `body{margin:0;font:15px/1.5 system-ui,sans-serif;background:#e8e4da;color:#1f2933}
main{max-width:760px;margin:0 auto;padding:24px 16px}a{color:#4b3f8f}
li{margin:8px 0}article{background:#fffdf8;padding:20px;margin:16px 0}
form{display:grid;gap:8px;margin:12px 0}textarea,input,select{font:inherit;padding:6px}button{font:inherit;padding:8px 16px;justify-self:start}
iframe{width:100%;height:480px;border:1px solid #cfc8b8;background:#fff}pre{white-space:pre-wrap}small{color:#6f6a60}`;

/** What the next letters are met with. */
const NEXT_LETTERS = `<article><h2>The next letters</h2>
<form method="post" action="/refuse"><label>are refused<br><select name="code"><option value="450">for now (450)</option><option value="550">for good (550)</option></select></label>
<label>in these words<br><input name="words" size="40" value="No such mailbox here"></label>
<label>when they are to (all: empty)<br><input name="to" type="email" size="40"></label>
<label>so many times<br><input name="times" type="number" value="1" min="1" max="1000"></label><button>Refuse</button></form>
<form method="post" action="/cut"><label>break off while they are on their way, so many times<br><input name="times" type="number" value="1" min="0" max="1000"></label><button>Cut the line</button></form>
<form method="post" action="/delay"><label>are taken slowly: so many milliseconds each<br><input name="milliseconds" type="number" value="5000" min="0" max="600000"></label><button>Be slow</button></form>
<form method="post" action="/away"><label>find nobody here for so many milliseconds<br><input name="milliseconds" type="number" value="30000" min="0" max="600000"></label><button>Be away</button></form></article>`;

/** Somebody of the business writes from their mailbox, in another mail program. */
const ELSEWHERE = (imap: number) => `<article><h2>The business’s own mailboxes</h2>
<p>Mail programs read them by IMAP at 127.0.0.1, port ${imap}, without TLS: any address of the business, with the password “mailbox”.</p>
<form method="post" action="/elsewhere"><label>Somebody of the business writes in another mail program, from<br><input name="from" type="email" required size="40"></label>
<label>To<br><input name="to" type="email" required size="40"></label><label>Subject<br><input name="subject" size="40"></label>
<label>Words<br><textarea name="text" rows="5" cols="60" required></textarea></label><button>Write</button></form></article>`;

const ONLY_MAILBOX =
  '<label><input type="checkbox" name="onlyMailbox"> it is brought to nobody: it lies in the mailbox until that is read</label>';

/** All mailboxes, or one with its letters, newest first. @param imap the port of the business's own; undefined: there are none */
export function listPage(letters: Letters, to: string | undefined, imap?: number): string {
  if (to === undefined) {
    const rows = letters.addresses().map((address) => {
      const count = letters.list(address).length;
      return `<li><a href="/?to=${encodeURIComponent(address)}">${escape(address)}</a> <small>${count}</small></li>`;
    });
    return frame(
      'Mailboxes',
      (rows.length ? `<ul>${rows.join('')}</ul>` : '<p>No letter has arrived yet.</p>') +
        NEXT_LETTERS +
        (imap === undefined ? '' : ELSEWHERE(imap)),
    );
  }
  const rows = letters
    .list(to)
    .reverse()
    .map(
      ({ id, subject, from, receivedAt }) =>
        `<li><a href="/letters/${id}">${escape(subject || '(no subject)')}</a><br><small>${escape(from)} · ${escape(receivedAt)}</small></li>`,
    );
  return frame(
    `Mailbox of ${to}`,
    `<p><a href="/">All mailboxes</a></p><ul>${rows.join('')}</ul>
<article><h2>Write to the business</h2><form method="post" action="/write"><input type="hidden" name="from" value="${escape(to)}">
<label>To<br><input name="to" type="email" required size="40"></label><label>Subject<br><input name="subject" size="40"></label>
<label>Words<br><textarea name="text" rows="5" cols="60" required></textarea></label>${imap === undefined ? '' : ONLY_MAILBOX}<button>Write</button></form></article>`,
  );
}

/** @param imap whether the business's own mailboxes are here */
export function letterPage(letter: Letter, imap: boolean): string {
  const along = letter.attachments.map(
    ({ name, size }, place) =>
      `<li><a href="/letters/${letter.id}/files/${place}">${escape(name)}</a> <small>${size} bytes</small></li>`,
  );
  const asText = `<pre>${escape(letter.text)}</pre>`;
  const noMore = unsubscribeAddress(letter)
    ? `<form method="post" action="/letters/${letter.id}/unsubscribe"><button>Want no more of these</button></form>`
    : '';
  const headers = letter.headers.map(({ name, value }) => `${name}: ${value}`).join('\n');
  return frame(
    letter.subject || '(no subject)',
    `<p><a href="/?to=${encodeURIComponent(letter.to[0] ?? '')}">Back to the mailbox</a></p>
<article><small>${escape(letter.from)} to ${escape(letter.to.join(', '))} · ${escape(letter.receivedAt)}</small>
${letter.html ? `<iframe sandbox title="The letter as its reader sees it" src="/letters/${letter.id}/html"></iframe>` : asText}
${along.length ? `<h2>With it</h2><ul>${along.join('')}</ul>` : ''}</article>
<article><h2>Answer as its reader</h2><form method="post" action="/letters/${letter.id}/answer">
<label>From another address<br><input name="from" placeholder="${escape(letter.to[0] ?? '')}"></label>
<label>What they write<br><textarea name="text" rows="5" cols="60"></textarea></label>
<label>The same as HTML, where their program writes it<br><textarea name="html" rows="3" cols="60"></textarea></label>
<label>With a file of this name<br><input name="file" size="40" placeholder="Piano.txt"></label>
<label><input type="checkbox" name="quotes"> with the letter below</label>
<label><input type="checkbox" name="unmarked"> without saying which letter it answers</label>
<label><input type="checkbox" name="outOfOffice"> by a program: they are away</label>${imap ? ONLY_MAILBOX : ''}
<button>Answer</button></form>
<h2>As their mail program</h2><form method="post" action="/letters/${letter.id}/open"><button>Show it with its pictures</button></form>${noMore}
<h2>As the mail server</h2><form method="post" action="/letters/${letter.id}/report">
<label>It says that the letter<br><select name="state"><option value="failed">came back</option><option value="delayed">waits</option><option value="delivered">has arrived</option></select></label>
<label>In these words<br><input name="words" size="50"></label>
<label><input type="checkbox" name="inWords"> without a report that programs read</label>
<button>Say so</button></form></article>
${letter.html ? `<article><h2>As text</h2>${asText}</article>` : ''}
<article><h2>Headers</h2><pre>${escape(headers)}</pre></article>`,
  );
}

function frame(title: string, content: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escape(title)}</title><style>${STYLE}</style></head><body><main><h1>${escape(title)}</h1>${content}</main></body></html>`;
}
