import {
  ArrowRight,
  Check,
  Dice5,
  Eye,
  EyeOff,
  Footprints,
  Forward,
  Hand,
  Hash,
  Layers,
  MapPin,
  MessageCircle,
  Pencil,
  RotateCw,
  SquareStack,
  type LucideIcon,
} from 'lucide-react'
import type { Gesture } from '@/core/games/engine/texts'

const signs: Record<Gesture, LucideIcon> = {
  roll: Dice5,
  spin: RotateCw,
  turn: SquareStack,
  look: Eye,
  count: Hash,
  say: MessageCircle,
  move: ArrowRight,
  place: MapPin,
  build: Layers,
  write: Pencil,
  choose: Hand,
  cover: EyeOff,
  check: Check,
  hop: Footprints,
  pass: Forward,
}

/** What the hand or the voice does in a step; the words beside it say it too. */
export function GestureSign({ gesture }: { gesture: Gesture }) {
  const Sign = signs[gesture]
  return <Sign size={28} strokeWidth={1.6} aria-hidden />
}
