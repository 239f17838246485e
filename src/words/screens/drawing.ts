/** What stands in drawings and charts. */
import { spoken } from '../tongue';

export const drawingWords = spoken('drawing', {
  profileRow: (title: string, figure: string, off: string, judged: boolean) =>
    `${title}: ${off || (judged ? 'right' : 'no band in this style')}, ${figure}. Who brings it.`,
  aPlateTilted: 'A plate tilted to 45°, with a teaspoon of it that runs 5 cm down',
  fromASpoonThickness: (thickness: string) => `From a spoon: ${thickness}`,
  shakeLine: 'shake line',
  hardlyChangesHowItTastes: 'Hardly changes how it tastes.',
  titleFromShowToShow2: (title: string, show: string, show2: string) => `${title} from ${show} to ${show2}`,
  notRead: 'not read',
  atkinsonHyperlegibleNextSystemUi: "'Atkinson Hyperlegible Next', system-ui, sans-serif",
  wateryLayer: 'watery layer',
  oilOnTop: 'oil on top',
  noLayerWithin14Days: 'no layer within 14 days',
  firstLayerAfterMedians: (medianS: string) => `first layer after ${medianS}`,
  layersAgainstTimeSays: (says: string) => `Layers against time. ${says}.`,
  afterMixing: 'after mixing',
  ofTheHeight: '% of the height',
  titleOverTheMakingsSays: (title: string, says: string) => `${title} over the makings. ${says}.`,
  windowFrom: 'window from',
  windowTo: 'window to',
  oil: 'oil',
  acid: 'acid',
  salt: 'salt',
  sweet: 'sweet',
  aroma: 'aroma',
  body: 'body',
  water: 'water',
});
