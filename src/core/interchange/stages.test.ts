import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { headingOf, stageTexts } from '.';

describe('a list in stages', () => {
  it('is cut where a line opens one, each with all that came before, at its own line number', () => {
    const stages = stageTexts('== base\n1 tbsp vinegar\n3 tbsp oil\n\n==  + yoghurt ==\n2 tbsp yoghurt\n');
    expect(stages.map(({ name }) => name)).toEqual(['base', '+ yoghurt']);
    expect(stages[0]!.text.split('\n')).toEqual(['', '1 tbsp vinegar', '3 tbsp oil', '']);
    expect(stages[1]!.text.split('\n')[5]).toBe('2 tbsp yoghurt');
    expect(headingOf('== base')).toBe('jar');
  });

  it('is one stage without a name where nothing opens one; what stands first may have none', () => {
    expect(stageTexts('1 tbsp oil')).toEqual([{ name: '', text: '1 tbsp oil' }]);
    expect(stageTexts('1 tbsp oil\n== more\nsalt').map(({ name }) => name)).toEqual(['', 'more']);
    expect(stageTexts('')).toEqual([{ name: '', text: '' }]);
  });

  it('loses no line: the last stage holds them all, and each holds the one before', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'b', '', '== x', '==')), (lines) => {
        const stages = stageTexts(lines.join('\n'));
        const said = lines.filter((line) => !line.startsWith('=='));
        expect(stages.at(-1)!.text.split('\n').filter(Boolean)).toEqual(said.filter(Boolean));
        for (const [i, { text }] of stages.entries())
          if (i > 0) expect(text.startsWith(stages[i - 1]!.text)).toBe(true);
      }),
    );
  });
});
