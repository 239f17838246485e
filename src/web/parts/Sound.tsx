import { Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { frameLaterWords } from '#words/screens/frameLater';
import { frameWords } from '#words/screens/frame';
import { Button } from '../ui/Button';
import { beep, setSound, soundChosen, soundOn } from '../ui/sound';

function choose(on: boolean): void {
  // One question for both: a timer ends also while the page is out of sight.
  if (on && typeof Notification !== 'undefined' && Notification.permission === 'default')
    void Notification.requestPermission();
  setSound(on);
  beep('taken');
}

/** A tone when a weight is taken, a timer ends, or the oil runs ahead; remembered on this device. */
export function SoundSwitch() {
  const [on, setOn] = useState(soundOn);
  return (
    <Button
      aria-pressed={on}
      onClick={() => {
        choose(!on);
        setOn(!on);
      }}
    >
      {on ? <Volume2 size={16} aria-hidden /> : <VolumeX size={16} aria-hidden />}
      {on ? frameLaterWords.soundOn : frameLaterWords.soundOff}
    </Button>
  );
}

/** Asked once on each device, before the first gram; Settings have it afterwards. */
export function SoundOffer() {
  const [open, setOpen] = useState(() => !soundChosen());
  if (!open) return null;
  const answer = (on: boolean) => (): void => {
    choose(on);
    setOpen(false);
  };
  return (
    <div className="flex flex-wrap items-center gap-4" data-testid="sound-offer">
      <p className="min-w-48 flex-1">{frameWords.shallItSound}</p>
      <Button className="min-h-16 px-5" onClick={answer(true)}>
        {frameLaterWords.yesSound}
      </Button>
      <Button className="min-h-16 px-5" onClick={answer(false)}>
        {frameLaterWords.noSound}
      </Button>
    </div>
  );
}
