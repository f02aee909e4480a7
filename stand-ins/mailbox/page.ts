import type { Letter, Letters } from './letters';

const STYLE = `body{margin:0;font:15px/1.5 system-ui,sans-serif;background:#e8e4da;color:#1f2933}
main{max-width:760px;margin:0 auto;padding:24px 16px}a{color:#4b3f8f}
li{margin:8px 0}article{background:#fffdf8;padding:20px;margin:16px 0}
form{display:grid;gap:8px;margin:12px 0}textarea,input,select{font:inherit;padding:6px}button{font:inherit;padding:8px 16px;justify-self:start}
iframe{width:100%;height:480px;border:1px solid #cfc8b8;background:#fff}pre{white-space:pre-wrap}small{color:#6f6a60}`;

/** All mailboxes, or one with its letters, newest first. */
export function listPage(letters: Letters, to: string | undefined): string {
  if (to === undefined) {
    const rows = letters.addresses().map((address) => {
      const count = letters.list(address).length;
      return `<li><a href="/?to=${encodeURIComponent(address)}">${escape(address)}</a> <small>${count}</small></li>`;
    });
    return frame(
      'Mailboxes',
      rows.length ? `<ul>${rows.join('')}</ul>` : '<p>No letter has arrived yet.</p>',
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
<label>Words<br><textarea name="text" rows="5" cols="60" required></textarea></label><button>Write</button></form></article>`,
  );
}

export function letterPage(letter: Letter): string {
  const along = letter.attachments.map(
    ({ name, size }, place) =>
      `<li><a href="/letters/${letter.id}/files/${place}">${escape(name)}</a> <small>${size} bytes</small></li>`,
  );
  const headers = letter.headers.map(({ name, value }) => `${name}: ${value}`).join('\n');
  return frame(
    letter.subject || '(no subject)',
    `<p><a href="/?to=${encodeURIComponent(letter.to[0] ?? '')}">Back to the mailbox</a></p>
<article><small>${escape(letter.from)} to ${escape(letter.to.join(', '))} · ${escape(letter.receivedAt)}</small>
<iframe sandbox title="The letter as its reader sees it" src="/letters/${letter.id}/html"></iframe>
${along.length ? `<h2>With it</h2><ul>${along.join('')}</ul>` : ''}</article>
<article><h2>Answer as its reader</h2><form method="post" action="/letters/${letter.id}/answer">
<label>From another address<br><input name="from" placeholder="${escape(letter.to[0] ?? '')}"></label>
<label>What they write<br><textarea name="text" rows="5" cols="60"></textarea></label>
<label><input type="checkbox" name="quotes"> with the letter below</label>
<label><input type="checkbox" name="unmarked"> without saying which letter it answers</label>
<label><input type="checkbox" name="outOfOffice"> by a program: they are away</label>
<button>Answer</button></form>
<h2>As the mail server</h2><form method="post" action="/letters/${letter.id}/report">
<label>It says that the letter<br><select name="state"><option value="failed">came back</option><option value="delayed">waits</option><option value="delivered">has arrived</option></select></label>
<label>In these words<br><input name="words" size="50"></label>
<label><input type="checkbox" name="inWords"> without a report that programs read</label>
<button>Say so</button></form></article>
<article><h2>As text</h2><pre>${escape(letter.text)}</pre></article>
<article><h2>Headers</h2><pre>${escape(headers)}</pre></article>`,
  );
}

function frame(title: string, content: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escape(title)}</title><style>${STYLE}</style></head><body><main><h1>${escape(title)}</h1>${content}</main></body></html>`;
}

function escape(text: string): string {
  return text.replace(
    /[&<>"]/g,
    (char) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[char]!,
  );
}
