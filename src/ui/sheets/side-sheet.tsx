'use client'

import Offcanvas from 'react-bootstrap/Offcanvas'

/** A sheet at the side instead of a dialog over the page: what it is about stays in sight. */
export function SideSheet({
  title,
  wide = false,
  onClose,
  children,
}: {
  title: string
  wide?: boolean
  onClose: () => void
  children: React.ReactNode
}) {
  return (
    <Offcanvas
      show
      onHide={onClose}
      placement="end"
      aria-labelledby="sheet-title"
      className={wide ? 'wide-sheet' : undefined}
    >
      <Offcanvas.Header closeButton closeLabel="Close">
        <Offcanvas.Title as="h2" id="sheet-title">
          {title}
        </Offcanvas.Title>
      </Offcanvas.Header>
      <Offcanvas.Body>{children}</Offcanvas.Body>
    </Offcanvas>
  )
}
