import { ValidationError } from 'yup';
import { ASKED, MOST_DAYS_ASKED, type AskedByForm } from '../../../core/contract/enquiryForm';
import { askByForm, formToShow } from '../../../server/asking/askByForm';
import { isSameOrigin } from '../../sameOrigin';
import { requestAddress } from '../../requestAddress';
import { askPage, policyOf, thanksPage, wordsPage } from './askPage';

type Context = { params: Promise<{ token: string }> };

/** What the form sends is at most so long, in bytes. */
const MOST = 40_000;

const GONE = 'This form is no longer here.';

/** A business's form for its own site: plain HTML, without a script, which may stand in a frame of the owner's sites. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const form = await formToShow((await params).token.slice(0, 64));
  if (!form) return answer(wordsPage(GONE), [], 404);
  return answer(askPage(form, {}, {}), form.sites);
}

/** Takes an enquiry. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  if (!isSameOrigin(request))
    return answer(wordsPage('This came from another site and was refused.'), [], 403);
  const token = (await params).token.slice(0, 64);
  const form = await formToShow(token);
  if (!form) return answer(wordsPage(GONE), [], 404);
  const typed = await readForm(request);
  if (!typed) return answer(wordsPage('That is too long to be sent by this form.'), form.sites, 413);
  try {
    const asked = (await ASKED.validate(
      {
        name: typed.get('name'),
        email: typed.get('email'),
        phone: typed.get('phone'),
        service: typed.get('service'),
        message: typed.get('message'),
        days: typed.getAll('day').filter(Boolean).slice(0, MOST_DAYS_ASKED),
      },
      { abortEarly: false },
    )) as AskedByForm;
    const asking = await askByForm(token, asked, {
      time: typed.get('time') ?? '',
      from: requestAddress(request),
      isRobot: Boolean(typed.get('website')),
    });
    switch (asking.result) {
      case 'taken':
        return answer(thanksPage(form, asking.html), form.sites);
      case 'gone':
        return answer(wordsPage(GONE), form.sites, 404);
      case 'late':
        return answer(
          askPage(form, typed, { form: 'This page was open for a long time. Please send it once more.' }),
          form.sites,
          400,
        );
      case 'too many':
        return answer(
          askPage(form, typed, {
            form: 'Many messages came from where you are. Please try again in an hour.',
          }),
          form.sites,
          429,
        );
    }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const wrong = Object.fromEntries(
      error.inner.map(({ path, message }) => [(path ?? 'form').replace(/\W.*/, ''), message]),
    );
    return answer(askPage(form, typed, wrong), form.sites, 400);
  }
}

/** What the form sent; undefined: it is too long. Its length is looked at before it is read. */
async function readForm(request: Request): Promise<URLSearchParams | undefined> {
  if (Number(request.headers.get('content-length') ?? Infinity) > MOST) return undefined;
  const text = await request.text();
  return text.length > MOST ? undefined : new URLSearchParams(text);
}

function answer(html: string, sites: readonly string[], status = 200): Response {
  return new Response(html, {
    status,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': policyOf(sites),
      'x-content-type-options': 'nosniff',
      // Without any, a browser would not say where the form was sent from.
      'referrer-policy': 'same-origin',
      'cache-control': 'no-store',
    },
  });
}
