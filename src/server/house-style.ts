import { houseStyleSchema } from '@/core/house-style'
import { saveHouseStyle } from '@/data/queries/house-style'
import { classIdSchema } from './classes'
import { changingClass } from './use-case'

/** Keeps what a class has settled on. Nothing stored before changes; what is suggested from now on does. */
export const changeHouseStyle = changingClass(
  'changeHouseStyle',
  classIdSchema.extend({ style: houseStyleSchema }),
  async (scope, { style }) => {
    await saveHouseStyle(scope, style)
    return style
  },
)
