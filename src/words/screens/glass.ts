/** A jar looked at with a picture: its layers measured, kept with the jar. */
import type { GlassLayer } from '#core/glass';

export const glassWords = {
  lookWithAPicture: 'Look with a picture',
  detail: 'Look',
  takeOrChoose: 'Take or choose pictures',
  orDrop:
    'or drop them here. Several are put in order by their own time. Hold the jar upright, the light from the side.',
  staysHere: (used: string, most: string) =>
    `Pictures are scaled down, freed of place and device, and never leave your kitchen’s own server: ${used} of ${most} are used.`,
  noJar: 'There is no finished jar to look at yet.',
  makeOne: 'Make a jar',
  cannotOpen: (name: string) =>
    `${name} cannot be opened by this browser. Take it as JPEG, or save it as JPEG or PNG first.`,
  tooMany: (most: number) => `At most ${most} pictures at once; the first ${most} are taken.`,
  reading: 'Reading the pictures',
  pictureOf: (place: number, count: number) => `Picture ${place} of ${count}`,
  markIt:
    'Look at the four corners, and draw them to where the liquid meets the glass. With the keys: Tab to a corner, then the arrows.',
  corner: {
    'floor-left': 'Floor, left',
    'floor-right': 'Floor, right',
    'surface-left': 'Surface, left',
    'surface-right': 'Surface, right',
  },
  border: (number: number) => `Border ${number}`,
  marksProblem: {
    outside: 'A corner lies outside the picture: draw it back.',
    'upside-down': 'The surface must lie above the floor: turn the corners or the picture.',
    'too-small': 'Too little of the jar is to be seen: come closer, or draw the corners further apart.',
  },
  measuring: 'Measuring the layers',
  noLayer: 'No layer to be seen.',
  layers: (said: string) => `${said}.`,
  layer: (name: string, percent: string, mm: string, doubt: string) => `${name} ${percent}, ${mm} ± ${doubt}`,
  aside: (name: string) => `${name}, left out`,
  byHand: 'A border was moved by hand; it stays where you put it.',
  asFound: 'As it was found',
  minutesSinceTheShake: 'Minutes since the shake',
  minutesAboveNothing: 'Minutes above nothing, or empty where nobody knows.',
  keep: 'Keep this look',
  skip: 'Leave it out',
  notKept: (error: string) => `Not kept. ${error}`,
  watch: 'Watch the jar',
  watchHow:
    'Lean the device against the wall, plugged in, the jar in the light. It measures once a minute and ends by itself when a layer shows; of all of it only the last picture can be kept.',
  beginWatching: 'Watch with the camera',
  stopWatching: 'Stop watching',
  cameraStarting: 'Waiting for the camera',
  cameraRefused: 'The camera was refused: allow it for this page in the browser, then begin again.',
  cameraNone:
    'No camera can be reached here: it needs a device with one, and a page over HTTPS. Choose a picture instead.',
  cameraLost: 'The camera is gone: plug it in again, or begin again.',
  cameraTurned: 'The picture lies otherwise than before: draw the corners again.',
  drawThenWatch: 'Draw the corners, then begin',
  theseCorners: 'Watch between these corners',
  watchedFor: (times: string, since: string) => `Looked ${times} times since ${since}. No layer yet.`,
  lastSeen: (said: string) => `Last: ${said}`,
  aLayerShows: (time: string) => `A layer shows, ${time}. Keep the picture below.`,
  kept: 'Looks with a picture',
  noneKept: 'None kept of this jar yet.',
  after: (time: string) => `${time} after the shake`,
  timeNotKnown: 'time not known',
  remove: 'Take away',
  theOneOf: (time: string) => `the picture of ${time}`,
  reallyRemove: 'Take it away for good',
  keepIt: 'Keep it',
  notRemoved: (error: string) => `Not taken away. ${error}`,
  course: 'The course against the prediction',
  theModel: 'As the model has it',
  farOutside: 'This jar is far from what was predicted: was the tool, the time or a bottle another one?',
} as const;

export const LAYER_WORDS: Readonly<Record<GlassLayer['kind'], string>> = {
  watery: 'Watery',
  mixed: 'Mixed',
  creamed: 'Creamed',
  oil: 'Free oil',
  foam: 'Foam',
  floating: 'Floats on top',
  lying: 'Lies at the bottom',
};
