/** The camera of this device, as long as it is wanted. */
import { useEffect, useRef, useState } from 'react';

export type CameraState = 'off' | 'starting' | 'live' | 'refused' | 'none' | 'lost';

const stopped = (stream: MediaStream): void => {
  for (const track of stream.getTracks()) track.stop();
};

export function useCamera(wanted: boolean) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<CameraState>('off');
  const [attempt, setAttempt] = useState(0);
  // Plugged in again it goes on by itself.
  useEffect(() => {
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (state !== 'lost' || !devices) return undefined;
    const again = (): void => {
      setAttempt((now) => now + 1);
    };
    devices.addEventListener('devicechange', again);
    return () => {
      devices.removeEventListener('devicechange', again);
    };
  }, [state]);
  useEffect(() => {
    if (!wanted) {
      setState('off');
      return undefined;
    }
    // Without a secure context there is none (W3C Media Capture and Streams).
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices) {
      setState('none');
      return undefined;
    }
    let gone = false;
    let stream: MediaStream | null = null;
    const say = (next: CameraState): void => {
      if (!gone) setState(next);
    };
    const begin = async (): Promise<void> => {
      const found = await devices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1600 } },
      });
      if (gone || !video.current) {
        stopped(found);
        return;
      }
      stream = found;
      for (const track of found.getVideoTracks()) {
        track.addEventListener('ended', () => {
          say('lost');
        });
        // Taken by a call, or its lid shut: it sends nothing for a while.
        track.addEventListener('mute', () => {
          say('lost');
        });
        track.addEventListener('unmute', () => {
          say('live');
        });
      }
      video.current.srcObject = found;
      await video.current.play();
      say('live');
    };
    setState('starting');
    begin().catch((error: unknown) => {
      if (error instanceof DOMException && error.name === 'NotAllowedError') say('refused');
      // One that was there a moment ago is lost, not missing.
      else say(stream || attempt > 0 ? 'lost' : 'none');
    });
    return () => {
      gone = true;
      if (stream) stopped(stream);
    };
  }, [wanted, attempt]);
  return {
    video,
    state,
    again: () => {
      setAttempt((now) => now + 1);
    },
  };
}
