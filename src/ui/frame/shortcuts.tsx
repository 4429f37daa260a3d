'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState, useSyncExternalStore } from 'react'
import Form from 'react-bootstrap/Form'
import Offcanvas from 'react-bootstrap/Offcanvas'
import { placesWithKeys } from './places'

const setting = 'islands-shortcuts'

function subscribe(changed: () => void) {
  window.addEventListener('storage', changed)
  return () => window.removeEventListener('storage', changed)
}

/** Single-key shortcuts, with a sheet that lists them and switches them off. */
export function Shortcuts({ classId }: { classId: string }) {
  const router = useRouter()
  const [listed, setListed] = useState(false)
  const on = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(setting) !== 'off',
    () => true,
  )

  useEffect(() => {
    if (!on) return
    let going = false
    function press(event: KeyboardEvent) {
      const typing =
        event.target instanceof HTMLElement &&
        event.target.closest('input, textarea, select, [contenteditable]')
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      if (going) {
        going = false
        const place = placesWithKeys.find(({ key }) => key === event.key)
        if (place) router.push(`/c/${classId}${place.part ? `/${place.part}` : ''}`)
      } else if (event.key === 'g') going = true
      else if (event.key === '?') setListed(true)
      else if (event.key === '/') {
        const search = document.querySelector<HTMLElement>('[data-search]')
        if (search) {
          event.preventDefault()
          search.focus()
        }
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [on, classId, router])

  return (
    <>
      <button
        type="button"
        className="btn btn-plain btn-sm"
        onClick={() => setListed(true)}
        aria-haspopup="dialog"
      >
        Keys
      </button>
      <Offcanvas show={listed} onHide={() => setListed(false)} placement="end" aria-labelledby="keys-title">
        <Offcanvas.Header closeButton>
          <Offcanvas.Title as="h2" id="keys-title">
            Keys
          </Offcanvas.Title>
        </Offcanvas.Header>
        <Offcanvas.Body>
          <ul className="rows">
            {placesWithKeys.map(({ key, title }) => (
              <li key={key}>
                <span className="grow">{title}</span>
                <span>
                  <kbd>g</kbd> <kbd>{key}</kbd>
                </span>
              </li>
            ))}
            <li>
              <span className="grow">Search or filter</span>
              <kbd>/</kbd>
            </li>
            <li>
              <span className="grow">This list</span>
              <kbd>?</kbd>
            </li>
          </ul>
          <Form.Check
            type="switch"
            id="keys-on"
            label="Single-key shortcuts"
            checked={on}
            onChange={({ target }) => {
              localStorage.setItem(setting, target.checked ? 'on' : 'off')
              window.dispatchEvent(new StorageEvent('storage'))
            }}
          />
        </Offcanvas.Body>
      </Offcanvas>
    </>
  )
}
