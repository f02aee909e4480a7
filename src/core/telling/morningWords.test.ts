import { describe, expect, it } from 'vitest';
import { morningWords, type Morning } from './morningWords';

const line = (words: string, path = '/post') => ({ words, path });
const morning = (more: Partial<Morning> = {}): Morning => ({
  date: 'Wednesday 25 November',
  name: 'Imke',
  answers: [],
  trouble: [],
  letters: [],
  visits: [],
  ...more,
});

describe('a morning letter', () => {
  it('says what waits, with how much of it in its subject', () => {
    const words = morningWords(
      morning({
        answers: [line('Oda Hartigan: Re: Your invoice', '/post/1')],
        trouble: [line('Came back: Statement to Ines', '/post/2'), line('Your mailbox cannot be read')],
        letters: [line('Tobias Barrow: visit in 3 days', '/write?from=booking:b1')],
        visits: [line('9:00 Oda Hartigan, tuning', '/work/bookings/b2')],
      }),
      'https://letters.example',
    )!;
    expect(words.subject).toBe('Wednesday 25 November: 1 answer waits, 2 need you, 1 to write');
    expect(words.text).toBe(
      [
        'Good morning Imke,',
        'Answers waiting (1)\n- Oda Hartigan: Re: Your invoice',
        'What needs you (2)\n- Came back: Statement to Ines\n- Your mailbox cannot be read',
        'Worth writing today (1)\n- Tobias Barrow: visit in 3 days',
        'Visits today (1)\n- 9:00 Oda Hartigan, tuning',
        'https://letters.example/today',
        'You get this each morning on which something waits. Settings, How you are told, ends it.',
      ].join('\n\n'),
    );
    expect(words.html).toContain(
      '<li><a href="https://letters.example/post/1">Oda Hartigan: Re: Your invoice</a></li>',
    );
  });

  it('is none where nothing waits, whoever is visited', () => {
    expect(morningWords(morning(), undefined)).toBeUndefined();
    expect(morningWords(morning({ visits: [line('9:00 Oda')] }), undefined)).toBeUndefined();
  });

  it('is short, leads nowhere where there is no address, and runs nothing that a sender wrote', () => {
    const answers = Array.from({ length: 30 }, (_, at) => line(`<script>${at}</script>`));
    const { text, html, subject } = morningWords(morning({ answers }), undefined)!;
    expect(subject).toContain('30 answers wait');
    expect(text).toContain('- and 22 more');
    expect(html).not.toMatch(/<script|href/);
    expect(html).toContain('&lt;script&gt;0&lt;/script&gt;');
  });
});
