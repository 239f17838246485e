import { Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { makeWords } from '#words/screens/make';
import { beep, setSound, soundOn } from '../../ui/sound';

/** A tone when a weight is taken, a timer ends, or the oil runs ahead; remembered on this device. */
export function SoundSwitch() {
  const [on, setOn] = useState(soundOn);
  return (
    <button
      type="button"
      aria-pressed={on}
      className="inline-flex min-h-9 items-center gap-2 rounded-md border border-edge bg-paper px-3 text-sm"
      onClick={() => {
        // One question for both: a timer ends also while the page is out of sight.
        if (!on && typeof Notification !== 'undefined' && Notification.permission === 'default')
          void Notification.requestPermission();
        setSound(!on);
        setOn(!on);
        beep('taken');
      }}
    >
      {on ? <Volume2 size={16} aria-hidden /> : <VolumeX size={16} aria-hidden />}
      <span className="sr-only sm:not-sr-only">{on ? makeWords.soundOn : makeWords.soundOff}</span>
    </button>
  );
}
