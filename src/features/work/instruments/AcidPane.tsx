import { AcidTests } from '../../shared/AcidTests'
import type { InstrumentProps } from './instrumentProps'

/** Where the oil or the gas is tested: what the test says, written down with its moment. */
export const AcidPane = ({ job, change }: InstrumentProps) => <AcidTests job={job} change={change} />
