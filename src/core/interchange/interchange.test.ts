import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { escapeCell, fromCsv, toCsv, underHeader, unescapeCell } from './csv';
import { toMarkdown, toPlainText } from './formulaText';
import { EXAMPLES } from './pasted.examples';
import { readPasted } from './pastedRecipe';
import { fromJsonLd, toJsonLd } from './recipeJsonLd';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('us'),
  decimalSign: 'point',
} as const;

describe('a pasted recipe', () => {
  it.each(EXAMPLES.map((example) => [example.style, example] as const))('is read: %s', (_style, example) => {
    const read = readPasted(example.text, context);
    const lines = read.lines.map(({ line, confidence }) =>
      line.reading.status === 'read'
        ? [line.reading.ingredient.id as string, line.reading.massG.nominal]
        : [null, confidence],
    );
    expect(lines.map(([id]) => id)).toEqual(example.lines.map(([id]) => id));
    example.lines.forEach(([id, grams], i) => {
      if (id === null || grams === null) expect(lines[i]![1]).toBe('ask');
      else expect(Math.abs((lines[i]![1] as number) - grams)).toBeLessThanOrEqual(0.04 * grams + 0.05);
    });
    expect(read.title).toBe(example.title);
    expect(read.notes).toHaveLength(example.notes);
  });

  it('drops no line, whatever is pasted', () => {
    const word = fc.constantFrom(
      ...[
        '30 ml',
        'olive oil',
        'salt',
        'Whisk',
        'the',
        'Ingredients:',
        'Method',
        '1.',
        '- ',
        'a pinch of',
        '½',
        ',',
        '(or so)',
        'lemon',
        ':',
        '#',
        '**',
      ],
    );
    const anyText = fc
      .array(
        fc.oneof(
          fc.array(word, { maxLength: 6 }).map((words) => words.join(' ')),
          fc.string({ maxLength: 40 }),
        ),
        { maxLength: 14 },
      )
      .map((lines) => lines.join('\n'));
    fc.assert(
      fc.property(anyText, (text) => {
        const { title, lines: parts, notes, dish, headings } = readPasted(text, context);
        const there = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '').length;
        // A line that says two things is there twice, in one place; what is only told beside it is a note.
        const lines = new Set(parts.map(({ at }) => at));
        const beside = notes.filter(({ at }) => !lines.has(at));
        const places = [...lines, ...[...beside, ...dish, ...headings].map(({ at }) => at)];
        expect(new Set(places).size).toBe(places.length);
        expect(places.length + (title === null ? 0 : 1)).toBe(there);
      }),
      { numRuns: 400 },
    );
  });

  it('says how sure it is, and offers what it may have meant', () => {
    const { lines } = readPasted(
      'Ingredients\n60 ml olive oil\n1,500 ml lemon juice\n2 tbsp walnut vinegar',
      context,
    );
    expect(lines.map(({ confidence }) => confidence)).toEqual(['sure', 'check', 'ask']);
    expect(lines[2]!.near.map(({ id }) => id as string).length).toBeGreaterThan(0);
  });
});

describe('tables', () => {
  const cell = fc.oneof(
    fc.string(),
    fc.constantFrom(
      '=1+1',
      '+49 30',
      '-5',
      '@here',
      '\tx',
      '\rx',
      "'=x",
      "''-1",
      'a,b',
      'a;b',
      ';',
      'say "so"',
      'two\nlines',
      '',
      "'quoted",
    ),
  );
  it('come back as they were, and no cell is a formula', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: 2, maxLength: 5 }), { minLength: 1, maxLength: 8 }),
        (rows) => {
          const text = toCsv(rows);
          const read = fromCsv(text);
          expect(read).toEqual({ status: 'read', rows });
          for (const row of rows) for (const one of row) expect(escapeCell(one)).not.toMatch(/^[=+\-@\t\r]/);
        },
      ),
      { numRuns: 300 },
    );
  });
  it('escape by one apostrophe, and take exactly that off', () => {
    expect(escapeCell('=SUM(A1)')).toBe("'=SUM(A1)");
    expect(unescapeCell("'=SUM(A1)")).toBe('=SUM(A1)');
    expect(unescapeCell(escapeCell("'=x"))).toBe("'=x");
    // A plain apostrophe is somebody's own.
    expect([escapeCell("'tis"), unescapeCell("'tis")]).toEqual(["'tis", "'tis"]);
  });
  it('are RFC 4180: line ends, doubled quotes; and read what a spreadsheet saves', () => {
    expect(
      toCsv([
        ['a', 'say "so"'],
        ['1', 'b,c'],
      ]),
    ).toBe('"a","say ""so"""\r\n"1","b,c"');
    expect(fromCsv('\uFEFFname;grams\r\nhoney;7\r\n')).toEqual({
      status: 'read',
      rows: [
        ['name', 'grams'],
        ['honey', '7'],
      ],
    });
    expect(fromCsv('a,"b\n')).toMatchObject({ status: 'unread' });
    const under = underHeader(
      [
        ['name', ' grams '],
        ['honey', '7'],
      ],
      ['name', 'grams', 'note'],
    );
    expect(under).toEqual({ missing: ['note'], records: [{ name: 'honey', grams: '7' }] });
  });
});

describe('schema.org', () => {
  const recipe = {
    name: 'Walnut & cider',
    yields: '366 ml',
    ingredients: ['90 ml cider vinegar', '60 ml walnut oil'],
    instructions: ['Shake it.'],
  };
  it('comes back as it was, alone and in a page', () => {
    const json = JSON.stringify(toJsonLd(recipe));
    expect(fromJsonLd(json)).toEqual({ status: 'read', recipes: [recipe] });
    const page = `<html><script type="application/ld+json">{"@context":"https://schema.org","@graph":[{"@type":"WebSite"},${json}]}</script></html>`;
    expect(fromJsonLd(page)).toEqual({ status: 'read', recipes: [recipe] });
  });
  it('reads what others write: several types, sections, entities, one text of steps', () => {
    const other = {
      '@type': ['Recipe', 'NewsArticle'],
      name: 'Caf&#233; <b>dressing</b>',
      recipeYield: ['4', '4 servings'],
      recipeIngredient: ['&frac12; cup olive oil', '  2 tbsp  lemon juice '],
      recipeInstructions: [
        { '@type': 'HowToSection', name: 'Base', itemListElement: [{ '@type': 'HowToStep', text: 'Stir.' }] },
        'Shake.\nTaste.',
      ],
    };
    expect(fromJsonLd(JSON.stringify([{ '@type': 'Thing' }, other]))).toEqual({
      status: 'read',
      recipes: [
        {
          name: 'Café dressing',
          yields: '4',
          ingredients: ['½ cup olive oil', '2 tbsp lemon juice'],
          instructions: ['Stir.', 'Shake.', 'Taste.'],
        },
      ],
    });
    expect(fromJsonLd('<html>nothing</html>')).toEqual({ status: 'none' });
    expect(fromJsonLd('{"@type":"Recipe"}')).toMatchObject({ recipes: [{ name: '', ingredients: [] }] });
  });
  it('never breaks on any JSON', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(['read', 'none']).toContain(fromJsonLd(text).status);
      }),
    );
  });
});

describe('a formula as text', () => {
  it('is read back by paste, from plain text and from Markdown', () => {
    const recipe = {
      name: 'Lake house',
      yields: '150 ml',
      ingredients: ['90 ml rapeseed oil', '30 ml cider vinegar', '1 tsp honey'],
      instructions: ['Shake it for 30 seconds.'],
    };
    for (const text of [toPlainText(recipe), toMarkdown(recipe)]) {
      const read = readPasted(text, context);
      expect(read.title).toBe('Lake house');
      expect(read.lines.map(({ line }) => line.ingredientId as string)).toEqual([
        'rapeseed',
        'vin_cider5',
        'honey',
      ]);
      expect(read.notes).toHaveLength(2);
    }
  });
});
