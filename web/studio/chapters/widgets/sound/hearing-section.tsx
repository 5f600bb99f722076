import { Ear as EarIcon, EarOff } from 'lucide-react';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { SpectrumOptions } from '../../../../../core/widgets/spectrum/spectrum.ts';
import { isListening, listenTo, onListening, stopListening } from '../../../../session/sound/hearing.ts';
import { costOfSpectrum } from '../../../../session/sound/sounding.ts';
import { Button } from '../../../../ui/buttons.tsx';
import { Section } from '../../../../ui/section.tsx';
import { toast } from '../../../../ui/toast.ts';

const LOOK_MS = 1000;

/** What a spectrum listens to, and what drawing it takes. */
export function HearingSection({ hears, most }: { hears: SpectrumOptions['hears']; most: number }) {
  const [cost, setCost] = useState(costOfSpectrum);
  useEffect(() => {
    const timer = setInterval(() => setCost(costOfSpectrum()), LOOK_MS);
    return () => clearInterval(timer);
  }, []);
  return (
    <Section title="Cost">
      <p className="text-dust">
        {cost > 0
          ? `${cost.toFixed(2)} ms a frame here: ${((cost * most) / 10).toFixed(1)} % of the time at ${most} frames a second.`
          : 'Nothing is drawn: it is silent.'}
      </p>
      {hears !== 'player' && <Permission ear={hears} />}
    </Section>
  );
}

/** A microphone or a tab is listened to once a person lets it be, for as long as the page is open. */
function Permission({ ear }: { ear: 'microphone' | 'tab' }) {
  const isOn = useSyncExternalStore(onListening, () => isListening(ear));
  async function ask(): Promise<void> {
    const wrong = await listenTo(ear);
    if (wrong) toast.warning(wrong);
  }
  const what = ear === 'microphone' ? 'the microphone' : 'a shared tab';
  return isOn ? (
    <>
      <p className="text-dust">Listens to {what}. What it hears stays in this page.</p>
      <Button className="justify-self-start" onClick={() => stopListening(ear)}>
        <EarOff size={15} /> Stop listening
      </Button>
    </>
  ) : (
    <Button className="justify-self-start" onClick={() => void ask()}>
      <EarIcon size={15} /> Let it listen to {what}…
    </Button>
  );
}
