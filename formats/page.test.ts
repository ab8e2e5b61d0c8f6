import { DOMParser } from '@xmldom/xmldom';
import { toldPage } from './page';

describe('what was asked, as a page', () => {
  const page = toldPage({
    title: 'Black <against> olive',
    lines: ['No difference & no more'],
    drawn: [
      { name: 'Black', said: ['14 takes in 881 casts'], svg: '<svg xmlns="http://www.w3.org/2000/svg"><rect/></svg>' },
      { name: '', said: [], svg: '<svg xmlns="http://www.w3.org/2000/svg"><circle/></svg>' },
    ],
    after: ['Both were fished on 9 outings.'],
  });

  it('tells all in its order, each drawing with what stands over it and under it', () => {
    const order = ['<h1>', 'No difference', '<h2>Black</h2>', '<rect', '14 takes', '<circle', 'Both were fished'];
    const at = order.map((part) => page.indexOf(part));
    expect(at).not.toContain(-1);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
    expect(page.match(/<h2>/g)).toHaveLength(1);
  });

  it('holds words as text, and asks for nothing from anywhere', () => {
    expect(page).toContain('<h1>Black &lt;against&gt; olive</h1>');
    expect(page).toContain('No difference &amp; no more');
    const body = page.slice(page.indexOf('<body>'), page.indexOf('</html>'));
    expect(new DOMParser().parseFromString(body, 'text/xml').getElementsByTagName('svg')).toHaveLength(2);
    expect(page).toContain("default-src 'none'");
    expect(page.replaceAll('http://www.w3.org/2000/svg', '')).not.toMatch(/https?:|src=|href=/);
  });
});
