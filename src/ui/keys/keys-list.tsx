import Form from 'react-bootstrap/Form'
import Offcanvas from 'react-bootstrap/Offcanvas'
import { keyboard } from './keyboard'
import { useKeysOn, useListed } from './use-shortcuts'

/** The keys that work here, and the switch for single ones. */
export default function KeysList({ onClose }: { onClose: () => void }) {
  const listed = useListed()
  const on = useKeysOn()
  return (
    <Offcanvas show onHide={onClose} placement="end" aria-labelledby="keys-title">
      <Offcanvas.Header closeButton>
        <Offcanvas.Title as="h2" id="keys-title">
          Keys
        </Offcanvas.Title>
      </Offcanvas.Header>
      <Offcanvas.Body>
        <ul className="rows">
          {listed.map(({ keys, title }) => (
            <li key={keys}>
              <span className="grow">{title}</span>
              <span>
                {keys.split(/[ +]/).map((key) => (
                  <kbd key={key}>{key}</kbd>
                ))}
              </span>
            </li>
          ))}
        </ul>
        <Form.Check
          type="switch"
          id="keys-on"
          label="Single-key shortcuts"
          checked={on}
          onChange={({ target }) => keyboard.switch(target.checked)}
        />
      </Offcanvas.Body>
    </Offcanvas>
  )
}
