/** Cautions: what to do, and why; never „sicher“. */
import { LOW_ACID_DAYS, THRESHOLDS, type CautionCode, type CautionRecord } from '#core/safety';
import { comma, names, PLANT, quoted } from './grammar';

interface SaidCaution {
  readonly what: string;
  readonly why: string;
}
export const cautions: Readonly<
  Record<CautionCode, SaidCaution | ((caution: CautionRecord) => SaidCaution)>
> = {
  infused_oil: ({ value, ingredients }) => ({
    what: `${names(ingredients, PLANT)} unter Öl, und nicht erwiesen sauer genug: frisch machen, bei 5 °C oder kälter halten und nach ${Math.min(value ?? 4, THRESHOLDS.garlicOilDays.value)} Tagen wegwerfen.`,
    why: 'Botulinum wächst unter Öl ohne Luft und ohne Geruch, und Hitze verschont seine Sporen. Ein pH sagt im Öl nichts.',
  }),
  raw_egg: {
    what: 'Rohes Ei: für Kinder, Alte, Schwangere und Kranke pasteurisiertes Ei nehmen.',
    why: 'Im Ei können Salmonellen sein. Kälte bremst sie und macht rohes Ei nicht geeignet; Säure wirkt in der Kälte langsamer.',
  },
  raw_egg_acid: ({ value, limit }) => ({
    what:
      value === null
        ? 'Wie sauer es um das Ei ist, ist hier nicht bekannt: mehr Essig, oder pasteurisiertes Ei.'
        : limit !== null && limit < 1
          ? `Nur ${comma(value * 100, 1)} % Essigsäure im Wasser, nötig sind mindestens ${comma(limit * 100, 1)} %: mehr Essig, oder pasteurisiertes Ei.`
          : `Der pH kann bis ${comma(value, 1)} gehen, höchstens ${comma(limit ?? 0, 1)} soll er sein: mehr Essig, oder pasteurisiertes Ei.`,
    why: 'Essig tötet Salmonellen langsam, und nur, wo es durch und durch sauer genug ist; Zitrone allein wirkt schlechter.',
  }),
  sprouts: {
    what: 'Rohe Sprossen: nicht für Kinder, Alte, Schwangere und Kranke.',
    why: 'Was auf der Saat sitzt, wächst beim Keimen mit, und Waschen nimmt es nicht weg.',
  },
  raw_food: ({ ingredients }) => ({
    what: `Roh oder nicht pasteurisiert: ${names(ingredients, 'was in einer nicht lesbaren Zeile steht')}. Nicht für Kinder, Alte, Schwangere und Kranke; auf der Karte sagen.`,
    why: 'Roher Fisch und rohes Fleisch können Parasiten, Listerien und Salmonellen tragen, nicht Pasteurisiertes Listerien und E. coli. Die Säure eines Dressings gart nicht.',
  }),
  allergen_unknown: ({ words }) => ({
    what: `Allergene nicht vollständig: ${quoted(words)}.`,
    why: 'Was nicht zu lesen war oder ohne Allergene eingetragen wurde, kann jedes enthalten.',
  }),
  infants_honey: {
    what: 'Nicht für Säuglinge unter 12 Monaten: Honig.',
    why: 'Honig kann Botulinumsporen enthalten, die ein Säuglingsdarm noch nicht aufhält.',
  },
  unread: ({ words }) => ({
    what: `Nicht zu lesen: ${quoted(words)}. Zählt als das Schlimmste, was es sein kann.`,
    why: 'Was nicht bekannt ist, kann am schnellsten verderben. So sagen, dass es zu lesen ist.',
  }),
  high_ph: ({ value }) => ({
    what:
      value === null
        ? `Wie sauer es ist, ist nicht bekannt und zählt als kaum sauer: kalt, höchstens ${LOW_ACID_DAYS} Tage.`
        : `Kaum sauer: der pH kann bis ${comma(value, 1)} gehen. Kalt, höchstens ${LOW_ACID_DAYS} Tage.`,
    why: 'Über 4,6 können Botulinum und andere wachsen.',
  }),
  cold_holding: ({ ingredients }) => ({
    what: `Von Anfang an bei 5 °C oder kälter halten${ingredients.length > 0 ? `, wegen ${names(ingredients)}` : ''}.`,
    why: 'Kälte bremst, was es verdirbt. Säure und Salz bremsen auch und halten nicht alles auf.',
  }),
  garlic_or_herb_under_oil: ({ value, ingredients }) => ({
    what: `Mit ${names(ingredients, PLANT)} unter Öl: kalt, und binnen ${Math.min(value ?? 4, 4)} Tagen, gegart oder roh.`,
    why: 'Was sich unter dem Öl setzt, erreicht weder Säure noch Luft.',
  }),
  boil_dried_beans: ({ words }) => ({
    what: `Trockene Bohnen: einweichen, Wasser weggießen, vor Gebrauch 10 Minuten sprudelnd kochen (${quoted(words)}).`,
    why: 'Roh und langsam gegart enthalten Bohnen ein Lektin, das krank macht; nur Kochen zerstört es.',
  }),
  keep_dry: ({ ingredients }) => ({
    what: `${names(ingredients)} in Öl: trocken halten. Ein nasser Löffel, und es gelten 5 °C und 4 Tage.`,
    why: 'Trocken wächst nichts darauf. Mit Wasser ist es eine Pflanze unter Öl.',
  }),
  susceptible_guests: ({ ingredients }) => ({
    what: `Nicht für besonders empfindliche Gäste: ${names(ingredients, 'was in einer nicht lesbaren Zeile steht')}.`,
    why: 'Rohes Ei und Sprossen können Salmonellen tragen, Weich- und Blauschimmelkäse Listerien, roher Fisch, rohes Fleisch und Rohmilch beides.',
  }),
  menu_notice: {
    what: 'Auf der Karte sagen, dass rohes Ei darin ist.',
    why: 'Gäste können nur entscheiden, wenn sie es wissen.',
  },
  cold_service: {
    what: 'Aus der Kälte darf es im Service 4 Stunden stehen, zu Hause 2, gezählt ab dem ersten Herausnehmen; dann wegwerfen.',
    why: 'Das Draußenstehen zählt zusammen, Behälter für Behälter. Neues nie auf Altes gießen.',
  },
  salt_undissolved: {
    what: 'Mehr Salz, als sein Wasser löst: ein Teil bleibt als Kristall.',
    why: 'Gesättigte Lake hält 26 %.',
  },
  soy_oil: {
    what: 'Sojaöl zählt als Soja, wenn auf der Flasche nicht „vollständig raffiniert“ steht.',
    why: 'Nur volles Raffinieren nimmt das Eiweiß heraus.',
  },
  acid_and_metal: {
    what: 'In Glas, Edelstahl, Glasiertem oder Lebensmittelkunststoff halten: kein blankes Aluminium, Kupfer, Messing.',
    why: 'Säure nimmt Metall auf.',
  },
  dressed_dishes: {
    what: 'Angemachte Blätter, Tomaten, Reis, Nudeln, Kartoffeln und Bohnen brauchen eigene Zeit- und Temperaturgrenzen.',
    why: 'Das Dressing macht das Gericht nicht haltbar.',
  },
  marinade: {
    what: 'Worin rohes Fleisch oder roher Fisch lag, wird nicht serviert.',
    why: 'Es trägt, was daran war.',
  },
  local_code: {
    what: 'Eine Schätzung, keine Bescheinigung: es gelten die Vorschriften am Ort und das Urteil der Fachleute.',
    why: 'Grenzen hängen vom Land, von den Gästen und davon ab, was die eigene Küche nachweisen kann.',
  },
};
