import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Backs, PaperId } from '@/core/printing/paper'
import type { Language } from '@/core/printing/letters'
import type { TaskCardForm } from '@/core/printing/sheets/task-card'

export interface PaperSettings {
  paper: PaperId
  backs: Backs
  taskCards: TaskCardForm
  seed: number
}

const papers: Record<PaperId, string> = { A4: 'A4', Letter: 'US Letter' }
const backs: Record<Backs, string> = {
  none: 'no backs',
  'long edge': 'backs, turned on the long edge',
  'short edge': 'backs, turned on the short edge',
}
const cards: Record<TaskCardForm, string> = {
  small: 'small task cards, folded',
  large: 'large task cards',
  signs: 'task cards with signs only',
}
const languageNames: Record<Language, string> = {
  en: 'letter in English',
  de: 'letter in German',
  fr: 'letter in French',
}

/** How the pile is printed. */
export function PrintSettings({
  settings,
  onChange,
  language,
  onLanguage,
}: {
  settings: PaperSettings
  onChange: (part: Partial<PaperSettings>) => void
  /** Of the letter; null: there is none. */
  language: Language | null
  onLanguage: (language: Language) => void
}) {
  return (
    <div className="print-settings">
      <Choice label="Paper" all={papers} chosen={settings.paper} onChoose={(paper) => onChange({ paper })} />
      <Choice
        label="Backs of cards"
        all={backs}
        chosen={settings.backs}
        onChoose={(next) => onChange({ backs: next })}
      />
      {language === null ? (
        <>
          <Choice
            label="Task cards"
            all={cards}
            chosen={settings.taskCards}
            onChoose={(taskCards) => onChange({ taskCards })}
          />
          <Button
            variant="plain"
            size="sm"
            onClick={() => onChange({ seed: (settings.seed % 9999) + 1 })}
            title={`These are number ${settings.seed}`}
          >
            Other numbers on cards that differ
          </Button>
        </>
      ) : (
        <Choice label="Language of the letter" all={languageNames} chosen={language} onChoose={onLanguage} />
      )}
    </div>
  )
}

function Choice<Id extends string>({
  label,
  all,
  chosen,
  onChoose,
}: {
  label: string
  all: Record<Id, string>
  chosen: Id
  onChoose: (id: Id) => void
}) {
  return (
    <Form.Select
      size="sm"
      aria-label={label}
      value={chosen}
      onChange={({ target }) => onChoose(target.value as Id)}
    >
      {(Object.entries(all) as [Id, string][]).map(([id, title]) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </Form.Select>
  )
}
