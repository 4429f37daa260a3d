import Form from 'react-bootstrap/Form'

export interface AccountDraft {
  name: string
  signInName: string
  password: string
}

/** What an adult is called, signs in with and keeps to itself. */
export function AccountFields({
  draft,
  passwordLabel,
  onChange,
}: {
  draft: AccountDraft
  passwordLabel: string
  onChange: (draft: AccountDraft) => void
}) {
  return (
    <>
      <Form.Group controlId="adult-name">
        <Form.Label>Name, as others see it</Form.Label>
        <Form.Control
          value={draft.name}
          maxLength={60}
          autoComplete="name"
          onChange={({ target }) => onChange({ ...draft, name: target.value })}
        />
      </Form.Group>
      <Form.Group controlId="adult-sign-in">
        <Form.Label>Sign-in name</Form.Label>
        <Form.Control
          value={draft.signInName}
          maxLength={40}
          autoComplete="username"
          autoCapitalize="none"
          spellCheck={false}
          onChange={({ target }) => onChange({ ...draft, signInName: target.value })}
        />
      </Form.Group>
      <Form.Group controlId="adult-password">
        <Form.Label>{passwordLabel}</Form.Label>
        <Form.Control
          type="password"
          value={draft.password}
          maxLength={200}
          autoComplete="new-password"
          aria-describedby="password-help"
          onChange={({ target }) => onChange({ ...draft, password: target.value })}
        />
        <Form.Text id="password-help">
          Ten characters at least; three words are easy to keep in mind.
        </Form.Text>
      </Form.Group>
    </>
  )
}
