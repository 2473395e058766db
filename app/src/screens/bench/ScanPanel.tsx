import { createElement, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Notice } from '@/ui/notices/Notice';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { codeIn, pixelsOf } from '@/reading/pictureCode';
import { openCamera } from '@/platform/hands';

/** Between two looks at what the camera sees, ms. */
const EVERY_MS = 200;

/** The camera looks for the code of a printed page; what it sees stays in this page. */
export function ScanPanel({ onCode, onClose }: { onCode: (code: string) => void; onClose: () => void }) {
  const video = useRef<HTMLVideoElement | null>(null);
  const found = useRef(onCode);
  useEffect(() => {
    found.current = onCode;
  });
  const [refused, setRefused] = useState(false);
  useEffect(() => {
    let left = false;
    let stop = () => undefined as void;
    watch(video.current!, (code) => left || found.current(code)).then(
      (stopped) => {
        stop = stopped;
        if (left) stop();
      },
      () => setRefused(true),
    );
    return () => {
      left = true;
      stop();
    };
  }, []);
  return (
    <Panel title="Scan a printed code" onClose={onClose}>
      {refused ? (
        <Notice
          tone="rowan"
          word="No camera"
          text="This page may not use the camera, or there is none. Allow it in the browser, or take a picture of the code and open that."
        />
      ) : (
        <Words>Hold the code of a printed pattern before the camera.</Words>
      )}
      <View style={{ aspectRatio: 4 / 3, display: refused ? 'none' : 'flex' }}>
        {createElement('video', {
          ref: video,
          muted: true,
          playsInline: true,
          'aria-label': 'What the camera sees',
          style: { width: '100%', height: '100%', objectFit: 'cover' },
        })}
      </View>
    </Panel>
  );
}

/** Looks through the camera until it is stopped. */
async function watch(video: HTMLVideoElement, onCode: (code: string) => void): Promise<() => void> {
  const stream = await openCamera();
  video.srcObject = stream;
  await video.play();
  let looking = false;
  const timer = setInterval(() => {
    if (looking || video.videoWidth === 0) return;
    looking = true;
    void codeIn(pixelsOf(video, video.videoWidth, video.videoHeight)).then((code) => {
      looking = false;
      if (code === undefined) return;
      // told once, however long it stays in sight
      clearInterval(timer);
      onCode(code);
    });
  }, EVERY_MS);
  return () => {
    clearInterval(timer);
    stream.getTracks().forEach((track) => track.stop());
  };
}
