/** A key, two in turn (“g p”), or one with Ctrl (“Ctrl+z”), and what it does. */
export interface Shortcut {
  keys: string
  title: string
  run: () => void
}

const setting = 'islands-shortcuts'

/** One listener for every shortcut there is: those of the page in view, and those of the frame around it. */
class Keyboard {
  private readonly active = new Set<readonly Shortcut[]>()
  private readonly listeners = new Set<() => void>()
  private listed: readonly Shortcut[] = []
  /** The first of two keys in turn was pressed. */
  private first: string | null = null

  /** @returns takes the shortcuts away again */
  add(shortcuts: readonly Shortcut[]): () => void {
    if (this.active.size === 0) window.addEventListener('keydown', this.press)
    this.active.add(shortcuts)
    this.tell()
    return () => {
      this.active.delete(shortcuts)
      if (this.active.size === 0) window.removeEventListener('keydown', this.press)
      this.tell()
    }
  }

  subscribe = (changed: () => void): (() => void) => {
    this.listeners.add(changed)
    return () => this.listeners.delete(changed)
  }

  /** Every shortcut that works now; the last that were added come first. */
  list = (): readonly Shortcut[] => this.listed

  /** Single keys can be switched off: a keyboard that types by itself or a voice that speaks letters sets them off. */
  isOn = (): boolean => localStorage.getItem(setting) !== 'off'

  switch(on: boolean) {
    localStorage.setItem(setting, on ? 'on' : 'off')
    this.tell()
  }

  press = (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.altKey || event.metaKey || isTyping(event.target)) return
    const pressed = nameOf(event)
    if (pressesWhatIsFocused(event)) return
    const wanted = this.first === null ? pressed : `${this.first} ${pressed}`
    this.first = null
    const usable = this.listed.filter(({ keys }) => keys.startsWith('Ctrl+') || this.isOn())
    const found = usable.find(({ keys }) => keys === wanted)
    if (found) {
      event.preventDefault()
      found.run()
    } else if (usable.some(({ keys }) => keys.startsWith(`${wanted} `))) this.first = wanted
  }

  private tell() {
    this.listed = [...this.active].reverse().flat()
    this.listeners.forEach((changed) => changed())
  }
}

const nameOf = ({ key, ctrlKey, shiftKey }: KeyboardEvent): string =>
  ctrlKey ? `Ctrl+${shiftKey ? 'Shift+' : ''}${key.toLowerCase()}` : key === ' ' ? 'Space' : key

/** Letters typed into a field, or read by a sheet that lies above the page, are no shortcuts. */
const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], [role=dialog]') !== null

/** Space and Enter belong to the button or link that has the focus. */
const pressesWhatIsFocused = ({ key, target }: KeyboardEvent): boolean =>
  (key === ' ' || key === 'Enter') &&
  target instanceof HTMLElement &&
  target.closest('button, a, summary, [role=button]') !== null

export const keyboard = new Keyboard()
