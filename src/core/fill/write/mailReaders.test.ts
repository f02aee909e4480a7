import { doIUseEmail } from '@jsx-email/doiuse-email';
import { describe, expect, it } from 'vitest';
import { fillSample } from '../test/fillSample';

/** Everything that a letter can hold. */
const EVERYTHING = `# A heading

## A smaller one

Words in **bold**, *italic*, \`code\`, [large]{.large .madder}, [small]{.small .slate}, [under]{.underline .iris},
a [link](https://larkfield.example/care) and {{business.logo | width 120}}.\\
A new line.

::: {.center}
[Pay online](https://pay.example/x){.button}
:::

::: {.right}
right
:::

> quoted

- one
- two
  1. nested
  2. again

5. five

6. six

| What | Amount |
|:--|--:|
| **Total** | {{business.name}} |

---

\`\`\`
code  with spaces
  kept
\`\`\`

![A view](view.png){width=240 link=https://larkfield.example .center}

{{signature}}
`;

const html = () => fillSample(EVERYTHING, { from: 'client:c1' }).html;

describe('the HTML of a letter', () => {
  it('has nothing that matters that any mail reader does not support', () => {
    // Of all readers that are known: a button's words are underlined in three, a picture has its own width in one.
    const { errors = [] } = doIUseEmail(html(), { emailClients: ['*'] }) as { errors?: string[] };
    const features = new Set(errors.map((error) => /^`(.*?)`/.exec(error)![1]));
    expect([...features].sort()).toEqual(['text-decoration', 'width attribute']);
    expect(errors.length).toBeLessThanOrEqual(5);
  });

  it('has no elements and attributes but these', () => {
    const written = html();
    const elements = new Set([...written.matchAll(/<([a-z0-9]+)/g)].map(([, name]) => name));
    expect([...elements].sort()).toEqual(
      'a blockquote br div em h1 h2 hr img li ol p span strong table td th tr u ul'.split(' '),
    );
    const attributes = new Set(
      [...written.matchAll(/<[a-z0-9]+((?: [a-z]+="[^"]*")*)>/g)].flatMap(([, all]) =>
        [...all!.matchAll(/ ([a-z]+)=/g)].map(([, name]) => name),
      ),
    );
    expect([...attributes].sort()).toEqual(
      'align alt border cellpadding cellspacing href scope src start style width'.split(' '),
    );
  });

  it('can be read by day and by night: no words have a contrast under 4.5 on white or on black', () => {
    const inks = [...html().matchAll(/(?:^|[";])color:(#[0-9a-f]{6})/g)].map(([, colour]) => colour!);
    expect(new Set(inks).size).toBeGreaterThan(2);
    for (const ink of inks.filter((one) => one !== '#ffffff')) {
      for (const ground of ['#ffffff', '#000000']) expect(contrast(ink, ground)).toBeGreaterThan(4.5);
    }
    expect(contrast('#ffffff', '#4b3f8f'), 'a button’s words on it').toBeGreaterThan(4.5);
  });

  it('keeps the spaces and lines of code', () => {
    expect(html()).toContain('code &nbsp;with spaces<br>&nbsp; kept</div>');
  });
});

/** The contrast of two colours (WCAG 2.2). */
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

function luminance(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.03928 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
