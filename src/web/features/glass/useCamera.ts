/** The camera of this device, as long as it is wanted. */
import { useEffect, useRef, useState } from 'react';

export type CameraState = 'off' | 'starting' | 'live' | 'refused' | 'none' | 'lost';

export function useCamera(wanted: boolean) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<CameraState>('off');
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
    setState('starting');
    devices
      .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1600 } } })
      .then(
        async (found) => {
          stream = found;
          if (gone || !video.current) {
            found.getTracks().forEach((track) => {
              track.stop();
            });
            return;
          }
          for (const track of found.getVideoTracks())
            track.addEventListener('ended', () => {
              setState('lost');
            });
          video.current.srcObject = found;
          await video.current.play();
          setState('live');
        },
        (error: unknown) => {
          const name = error instanceof DOMException ? error.name : '';
          setState(name === 'NotAllowedError' ? 'refused' : 'none');
        },
      )
      .catch(() => {
        if (!gone) setState('lost');
      });
    return () => {
      gone = true;
      stream?.getTracks().forEach((track) => {
        track.stop();
      });
    };
  }, [wanted]);
  return { video, state };
}
