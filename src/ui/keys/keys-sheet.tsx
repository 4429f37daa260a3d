'use client'

import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import Offcanvas from 'react-bootstrap/Offcanvas'
import { keyboard } from './keyboard'
import { useKeysOn, useListed, useShortcuts } from './use-shortcuts'

/** A button that lists the keys that work here, and switches single keys off. */
export function KeysButton() {
  const [open, setOpen] = useState(false)
  const listed = useListed()
  const on = useKeysOn()
  useShortcuts([{ keys: '?', title: 'This list', run: () => setOpen(true) }])
  return (
    <>
      <button
        type="button"
        className="btn btn-plain btn-sm"
        onClick={() => setOpen(true)}
        aria-haspopup="dialog"
      >
        Keys
      </button>
      <Offcanvas show={open} onHide={() => setOpen(false)} placement="end" aria-labelledby="keys-title">
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
    </>
  )
}
