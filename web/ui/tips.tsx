import { Tooltip } from 'radix-ui';
import { useEffect, useState } from 'react';

/** ms that the pointer rests on something before its name is told. */
const REST_MS = 500;

interface Told {
  text: string;
  at: DOMRect;
}

/** Tells the names of what is pointed at, or focused by the keyboard: one layer for the whole page. */
export default function Tips() {
  const [told, setTold] = useState<Told | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over: Element | null = null;
    const find = (target: EventTarget | null) =>
      target instanceof Element ? target.closest('[data-tip]') : null;
    function hide(): void {
      clearTimeout(timer);
      over = null;
      setTold(null);
    }
    function tell(element: Element): void {
      const text = element.getAttribute('data-tip');
      if (text && element.isConnected) setTold({ text, at: element.getBoundingClientRect() });
    }
    function onOver({ target, pointerType }: PointerEvent): void {
      const element = find(target);
      if (element === over) return;
      hide();
      if (!element || pointerType === 'touch') return;
      over = element;
      timer = setTimeout(() => tell(element), REST_MS);
    }
    function onFocus({ target }: FocusEvent): void {
      const element = find(target);
      hide();
      if (element?.matches(':focus-visible')) tell(element);
    }
    const onKey = ({ key }: KeyboardEvent) => key !== 'Tab' && hide();
    const heard = { capture: true, passive: true };
    document.addEventListener('pointerover', onOver, heard);
    document.addEventListener('pointerdown', hide, heard);
    document.addEventListener('focusin', onFocus, heard);
    document.addEventListener('keydown', onKey, heard);
    document.addEventListener('scroll', hide, heard);
    return () => {
      hide();
      document.removeEventListener('pointerover', onOver, heard);
      document.removeEventListener('pointerdown', hide, heard);
      document.removeEventListener('focusin', onFocus, heard);
      document.removeEventListener('keydown', onKey, heard);
      document.removeEventListener('scroll', hide, heard);
    };
  }, []);
  if (!told) return null;
  const { left, top, width, height } = told.at;
  return (
    <Tooltip.Provider>
      <Tooltip.Root open>
        <Tooltip.Trigger asChild>
          <span aria-hidden className="pointer-events-none fixed" style={{ left, top, width, height }} />
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={6}
            className="pointer-events-none z-50 rounded-md border border-seam bg-nap px-2 py-1 text-[12px] text-chalk shadow-lg"
          >
            {told.text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
