/** Steps, tips, pours and rescues. */
import type { PourPlan } from '#core/emulsion';
import type { Sentences } from '../tongue';
import { comma, duration, listed, names } from './grammar';
import { tools } from './rooms';

export const PACES = { drops: 'in Tropfen', 'thin-thread': 'in dünnem Faden', stream: 'im Strahl' } as const;
export const toFive = (ml: number): number => Math.max(1, Math.round(ml / 5) * 5);
export const pace = (seconds: number): string =>
  seconds < 90
    ? `${Math.max(5, Math.round(seconds / 5) * 5)} s`
    : `${comma(Math.round(seconds / 30) / 2, 1).replace(',0', '')} min`;
export function stages(plan: Extract<PourPlan, { status: 'stages' }>): string {
  const all = plan.stages.map(
    ({ pace: how, volumeMl, seconds, toMlPerMin }) =>
      `${toFive(volumeMl)} ml ${PACES[how]} (${pace(seconds)}, höchstens ${Math.round(toMlPerMin / 5) * 5 || Math.round(toMlPerMin)} ml in der Minute)`,
  );
  return `${all.join(', dann ')}; zusammen ${pace(plan.totalS)}.`;
}
export const pour: Sentences['pour'] = (plan, tool) => {
  if (plan.status === 'stages') return `Öl mit ${tools[tool]}: ${stages(plan)}`;
  return tool === 'shake'
    ? 'Alles ins Glas, dann schütteln.'
    : 'Alles Öl auf einmal; der Kopf zieht es von unten ein.';
};

export const stepNote: Sentences['stepNote'] = (note, { nameOf, amount }) => {
  const all = (ids: Parameters<typeof nameOf>[0][]): string =>
    listed([...new Set(ids.map((id) => nameOf(id).split(',')[0]!))]);
  switch (note.code) {
    case 'steep':
      return `${all([...note.ingredientIds])} in der Säure ziehen lassen`;
    case 'rest':
      return `${all([...note.ingredientIds])} ruhen lassen`;
    case 'pour':
      return `Guss ${note.pour} von ${note.of}`;
    case 'dilution':
      return `1 Teil mit 9 Teilen ${all([note.carrierId])} mischen, davon ${note.takeG} g nehmen`;
    case 'rescue':
      return rescue(note.step, { nameOf, amount });
  }
};

export const rescue: Sentences['rescue'] = (step, { nameOf, amount }) => {
  switch (step.code) {
    case 'new-base':
      return `In einer sauberen Schüssel: ${amount(step.massG, step.ingredientId)} ${nameOf(step.ingredientId)} und ${Math.max(5, toFive(step.waterMl))} ml Wasser glatt rühren. Die geronnene nicht einfach stärker schlagen.`;
    case 'drip-in':
      return `Die geronnene Sauce, ${Math.max(5, toFive(step.volumeMl))} ml, halb so schnell hineintropfen. ${step.plan.status === 'stages' ? stages(step.plan) : pour(step.plan, 'whisk')}`;
    case 'add-water-first':
      return `Erst ${Math.max(5, toFive(step.volumeMl))} ml Wasser unterschlagen, dann wieder Öl.`;
    case 'warm-bowl':
      return 'Das Eigelb ist kalt: die Schüssel 5 Minuten in Wasser von 30 bis 35 °C stellen.';
    case 'warm-oil':
      return `Das Öl ist zu kalt und trüb: über ${step.toC} °C anwärmen.`;
    case 'halve-oil':
      return 'Dann mit halb so viel Öl weiter.';
    case 'thin-with':
      return `${amount(step.massG, step.ingredientId)} ${nameOf(step.ingredientId)} teelöffelweise einrühren, das letzte Fünftel nach Geschmack.`;
    case 'thicken-with-oil':
      return `Noch ${Math.max(5, toFive(step.volumeMl))} ml Öl einarbeiten. ${pour(step.plan, 'whisk')}`;
    case 'thicken-with-gum':
      return `${comma(step.massG, 2)} g Xanthan in etwas Öl anrühren, dann untermixen: 0,1 % vom Wasser.`;
    case 'stand-out':
      return `${duration(step.seconds)} draußen stehen lassen, bis es über ${Math.round(step.toC)} °C hat.`;
    case 'lukewarm-bath':
      return 'Oder 5 bis 10 Minuten in lauwarmes Wasser, unter 35 °C.';
    case 'shake-again':
      return 'Dann wieder schütteln.';
  }
};

export const tip: Sentences['tip'] = (said) => {
  switch (said.code) {
    case 'toast-seeds':
      return `${names(said.ingredients)} ohne Fett rösten, abkühlen lassen.`;
    case 'rub-dried-herbs':
      return `${names(said.ingredients)} zwischen den Händen reiben: das weckt den Duft.`;
    case 'garlic-alone':
      return 'Den Knoblauch zuerst allein hacken, feiner als gedacht.';
    case 'yolk-at-room':
      return `${names(said.ingredients)} früh aus dem Kühlschrank: kaltes Eigelb nimmt Öl nur halb so schnell.`;
    case 'salt-into-acid':
      return `${names(said.ingredients)} in der Säure lösen, vor Senf, Honig und Öl.`;
    case 'steep-in-acid':
      return `${names(said.ingredients)} ${said.minutes} Minuten in der Säure lassen, bevor Öl dazukommt: milder.`;
    case 'smell-nut-oil':
      return `An ${names(said.ingredients)} riechen, bevor es hineinkommt: Nussöl wird früh ranzig.`;
    case 'whisk-base':
      return 'Die Basis glatt rühren, bevor Öl dazukommt.';
    case 'pour':
      return pour(said.plan, said.tool);
    case 'too-little-for-tool':
      return `Zu wenig für ${tools[said.tool]}: gebraucht werden ${said.limitMl} ml.`;
    case 'too-much-for-tool':
      return `Zu viel für ${tools[said.tool]}: in Portionen bis ${said.limitMl} ml arbeiten.`;
    case 'too-full-to-shake':
      return `Zu voll zum Schütteln: über ${Math.round(said.mostMl)} ml bewegt sich kaum etwas. Ein größeres Glas nehmen.`;
    case 'blender-bitter':
      return `${names(said.ingredients)}: länger als eine halbe Minute hart gemixt kann es bitter werden (umstritten). Neutrales Öl mixen, ein Drittel davon von Hand unterheben.`;
    case 'blender-heat':
      return `Die Maschine wärmt es um etwa ${Math.round(said.risesK)} K: in Stößen mixen.`;
    case 'green-on-the-day':
      return `${names(said.ingredients)} erst am selben Tag in die Säure: sonst wird es oliv.`;
    case 'oil-sets':
      return `${names(said.ingredients, 'Das Öl')} kann im Kühlschrank fest werden: vor dem Anrichten ${said.standOutS > 0 ? `${duration(said.standOutS)} draußen stehen lassen, oder 5 bis 10 Minuten in lauwarmes Wasser` : 'draußen stehen lassen'}, dann schütteln.`;
    case 'gum-too-little':
      return 'Unter 0,08 % vom Wasser schadet Xanthan eher: mehr nehmen, oder keins.';
  }
};
