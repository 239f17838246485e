/** What could not be read of a typed line, in German. */
import type { Problem } from '#core/quantity';
import { plain } from './grammar';

const either = (items: readonly string[]): string => items.map((item) => `„${item}“`).join(', ');
const meant = (near: readonly string[]): string =>
  near.length > 0 ? ` Ähnlich: ${near.map(plain).join('; ')}.` : '';

export function problem(problem: Problem): string {
  switch (problem.code) {
    case 'empty':
      return 'Nichts eingegeben. Zum Beispiel „90 ml Olivenöl“.';
    case 'no-amount':
      return `In „${problem.text}“ fehlt die Menge. Zum Beispiel „1 EL …“ oder „20 g …“.`;
    case 'no-unit':
      return `${plain(problem.ingredient)}: es fehlt die Einheit${problem.units.length > 0 ? `, etwa ${either(problem.units)}` : ', etwa g, ml, TL oder EL'}.`;
    case 'no-unit-weight':
      return `${plain(problem.ingredient)}: was ein „${problem.unit}“ wiegt, ist nicht bekannt. Geht: ${either(problem.units)}.`;
    case 'pack-size':
      return `${plain(problem.ingredient)}: wie viel ist in „${problem.pack}“? Sagen Sie es als „${problem.amounts[0]!}“.`;
    case 'bad-number':
      return `„${problem.text}“ ist keine Zahl. Zum Beispiel „1½“, „1,5“ oder „1/2“.`;
    case 'negative':
      return `„${problem.text}“ ist weniger als nichts. Geben Sie die Menge ein, die dazukommt.`;
    case 'too-large':
      return `Mehr als ${problem.limitKg} kg. Prüfen Sie Zahl und Einheit.`;
    case 'leftover':
      return `„${problem.text}“ ist nicht zu verstehen. Zum Beispiel „1½ TL“, „1 Prise“, „90 g“.`;
    case 'two-things':
      return `„${problem.text}“ sind zwei Zutaten. Saft und Schale bitte je in eine eigene Zeile.`;
    case 'no-ingredient':
      return 'Eine Menge wovon? Die Zutat gehört dahinter.';
    case 'unknown-ingredient':
      return `„${problem.text}“ ist nicht in der Speisekammer.${meant(problem.near)}`;
    case 'ambiguous-ingredient':
      return `„${problem.text}“ kann mehreres sein: ${problem.near.map(plain).join('; ')}.`;
  }
}
