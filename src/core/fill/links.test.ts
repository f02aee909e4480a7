import { expect, it } from 'vitest';
import { fillSample, SAMPLE } from './test/fillSample';

function hrefOf(body: string, client: object = {}): string | undefined {
  const records = { clients: [{ ...SAMPLE.clients![0]!, ...client }] };
  return /href="([^"]*)"/.exec(fillSample(body, { records }).html)?.[1];
}

it.each([
  ['[ring](tel:{{client.phone}})', {}, 'tel:+441632960101'],
  ['[ring](tel:{{client.phone}})', { phone: '01632 960101' }, 'tel:+441632960101'],
  ['[ring](tel:{{client.phone | local}})', {}, 'tel:+441632960101'],
  ['[ring](tel:{{client.phone | international}})', {}, 'tel:+441632960101'],
  ['[ring](tel:{{client.phone}})', { phone: '+49 30 901820' }, 'tel:+4930901820'],
  ['[write](mailto:{{client.email}})', {}, 'mailto:oda@hartigan.example'],
  ['[write](mailto:{{client.email}})', { email: 'a&b?c@x.example' }, 'mailto:a%26b%3Fc@x.example'],
  [
    '[write](mailto:office@larkfield.example?subject={{client.name}}&body={{client.notes}})',
    { name: 'O & P@Q' },
    'mailto:office@larkfield.example?subject=O%20%26%20P%40Q&amp;body=First%20line%0D%0Asecond%20%3Cline%3E',
  ],
  [
    '[see](https://x.example/{{client.name}}?q={{client.name}})',
    { name: 'a/b&c' },
    'https://x.example/a%2Fb%26c?q=a%2Fb%26c',
  ],
  ['[see]({{links.review}})', {}, 'https://larkfield.example/say'],
  ['[see](https://x.example/?to={{links.review}})', {}, 'https://x.example/?to=our%20review%20page'],
])('%s with %j leads to %s', (body, client, expected) => expect(hrefOf(body, client)).toBe(expected));
