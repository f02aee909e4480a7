import { createHash } from 'node:crypto';
import { MOST_DAYS_ASKED } from '../../../core/contract/enquiryForm';
import { escapeHtml } from '../../../core/fill/write/escape';
import type { FormToShow } from '../../../server/asking/askByForm';

/** What was typed, by the names of the controls; nothing yet. */
type Typed = URLSearchParams | Record<string, never>;

const STYLE = `*{box-sizing:border-box}body{margin:0;padding:20px;font:17px/1.5 system-ui,sans-serif;color:#1f2933;background:#fffdf8}
main{max-width:34em;margin:0 auto}h1{margin:0 0 .4em;font-size:1.3em}p{margin:0 0 1em;overflow-wrap:anywhere}label,legend{display:block;margin:0 0 .2em;padding:0;font-weight:600}
input,textarea,select{display:block;width:100%;margin:0 0 1em;padding:.5em .6em;border:1px solid #6b7480;border-radius:3px;font:inherit;color:inherit;background:#fff}
fieldset{margin:0;padding:0;border:0}.days{display:grid;grid-template-columns:repeat(auto-fit,minmax(10em,1fr));gap:0 1em}
button{padding:.6em 1.4em;border:0;border-radius:3px;font:inherit;font-weight:600;color:#fff;background:#4b3f8f;cursor:pointer}
.wrong{margin:-.7em 0 1em;color:#a3261f}.form-wrong{margin:0 0 1em}.not-for-people{position:absolute;left:-999em}
@media(prefers-color-scheme:dark){body{color:#ece7dc;background:#27282b}input,textarea,select{background:#1c1d1f;border-color:#8d96a1}.wrong{color:#f0a29b}button{background:#6a5cc0}}`;

const STYLE_HASH = createHash('sha256').update(STYLE).digest('base64');

/** Nothing runs and nothing is fetched; it may be framed by the owner's sites alone. */
export function policyOf(sites: readonly string[]): string {
  const framed = sites.length > 0 ? sites.join(' ') : "'none'";
  return `default-src 'none'; style-src 'sha256-${STYLE_HASH}'; form-action 'self'; base-uri 'none'; frame-ancestors ${framed}`;
}

/** The form as a page. @param wrong what is wrong with what was typed, by the control's name */
export function askPage(form: FormToShow, typed: Typed, wrong: Readonly<Record<string, string>>): string {
  const said = (name: string) => (typed instanceof URLSearchParams ? (typed.get(name) ?? '') : '');
  const days = typed instanceof URLSearchParams ? typed.getAll('day') : [];
  const problem = (name: string) =>
    wrong[name] ? `<p class="wrong" id="${name}-wrong">${escapeHtml(wrong[name])}</p>` : '';
  const tied = (name: string) => (wrong[name] ? ` aria-invalid="true" aria-describedby="${name}-wrong"` : '');
  const input = (name: string, label: string, attributes: string) =>
    `<label for="${name}">${label}</label><input id="${name}" name="${name}" value="${escapeHtml(said(name))}" ${attributes}${tied(name)}>${problem(name)}`;
  const services = form.services.map(
    (service) => `<option${service === said('service') ? ' selected' : ''}>${escapeHtml(service)}</option>`,
  );
  return page(
    form.business,
    form.locale,
    `<h1>Write to ${escapeHtml(form.business)}</h1>
${form.intro ? `<p>${escapeHtml(form.intro).replaceAll('\n', '<br>')}</p>` : ''}
${wrong.form ? `<p class="wrong form-wrong" role="alert">${escapeHtml(wrong.form)}</p>` : ''}
<form method="post" novalidate>
<input type="hidden" name="time" value="${escapeHtml(form.time)}">
<div class="not-for-people" aria-hidden="true"><label for="website">Leave this empty</label><input id="website" name="website" tabindex="-1" autocomplete="off"></div>
${input('name', 'Your name', 'autocomplete="name" maxlength="100"')}
${input('email', 'Email address', 'type="email" autocomplete="email" maxlength="254"')}
${input('phone', 'Telephone', 'type="tel" autocomplete="tel" maxlength="60"')}
${
  services.length > 0
    ? `<label for="service">What you would like</label><select id="service" name="service"><option value="">Something else</option>${services.join('')}</select>`
    : ''
}
<fieldset><legend>Days that would suit you, if you know</legend><div class="days">${Array.from(
      { length: MOST_DAYS_ASKED },
      (_, i) =>
        `<input type="date" name="day" aria-label="Day ${i + 1}" value="${escapeHtml(days[i] ?? '')}">`,
    ).join('')}</div>${problem('days')}</fieldset>
<label for="message">What it is about</label><textarea id="message" name="message" rows="5" maxlength="5000"${tied('message')}>${escapeHtml(said('message'))}</textarea>${problem('message')}
<button>Send</button>
</form>`,
  );
}

/** What is said afterwards. */
export function thanksPage({ business, locale }: FormToShow, html: string): string {
  return page(business, locale, `<h1>${escapeHtml(business)}</h1>${html}`);
}

/** A page of a few words. */
export function wordsPage(words: string): string {
  return page(words, 'en-GB', `<h1>${escapeHtml(words)}</h1>`);
}

function page(title: string, locale: string, body: string): string {
  return `<!doctype html><html lang="${escapeHtml(locale)}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="color-scheme" content="light dark"><meta name="robots" content="noindex"><title>${escapeHtml(title)}</title><style>${STYLE}</style></head><body><main>${body}</main></body></html>`;
}
