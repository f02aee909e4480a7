import { describe, expect, it } from 'vitest';
import { cleanHtml } from './cleanHtml';

describe('the HTML of a letter that came in', () => {
  it('keeps what our own letters are made of', () => {
    const html =
      '<p>Dear <b>Imke</b>,</p><ul><li>one</li></ul><table><tr><td colspan="2">x</td></tr></table><a href="https://x.example/">there</a>';
    expect(cleanHtml(html)).toBe(html);
  });

  it.each([
    ['a script', '<script>alert(1)</script>x', 'x'],
    ['a style with an address', '<style>@import "https://x.example"</style>x', 'x'],
    ['a handler', '<p onclick="a()">x</p>', '<p>x</p>'],
    ['a script’s address', '<a href="javascript:alert(1)">x</a>', '<a>x</a>'],
    ['a script’s address with spaces', '<a href=" java\nscript:alert(1)">x</a>', '<a>x</a>'],
    ['an address as data', '<a href="data:text/html,x">x</a>', '<a>x</a>'],
    ['a form', '<form action="https://x.example"><input name="a">x</form>', 'x'],
    ['a frame', '<iframe src="https://x.example">y</iframe>x', 'x'],
    ['an object', '<object data="x.swf"><p>x</p></object>y', 'y'],
    ['a picture in clear', '<img src="http://x.example/a.png" alt="A">', '<img alt="A" />'],
    ['a drawing that runs', '<svg onload="a()"><script>b()</script></svg>x', 'x'],
    ['another base', '<base href="https://x.example">x', 'x'],
    ['another page', '<meta http-equiv="refresh" content="0;url=https://x.example">x', 'x'],
    ['what no browser shows', '<!--[if mso]><p>y</p><![endif]-->x', 'x'],
    ['a style of its own', '<p style="position:fixed;background:url(https://x.example)">x</p>', '<p>x</p>'],
    ['an unfinished tag', '<p>x</p><img src="https://x.example/a.png" alt="', '<p>x</p>'],
    ['formulas that hide', '<math><mtext><style><img src=x onerror=a()></style></mtext></math>x', 'x'],
  ])('has no %s', (_, html, clean) => {
    expect(cleanHtml(html)).toBe(clean);
  });

  it('has a picture of the web with its address, and one of its own', () => {
    const html = '<img src="https://x.example/a.png" alt="A" /><img src="cid:b@c" />';
    expect(cleanHtml(html)).toBe(html);
  });

  it('is no deeper than a letter is, and none where it is far too deep', () => {
    expect(cleanHtml(`${'<div>'.repeat(4000)}x`)!.match(/<div>/g)!.length).toBeLessThan(100);
    expect(cleanHtml('<b>'.repeat(50_000))).toBeUndefined();
    expect(cleanHtml('<'.repeat(50_000))).toBeDefined();
  });
});
