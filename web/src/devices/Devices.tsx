import { useQuery } from '@tanstack/react-query'
import { answer, api } from '../api/client'
import { Bar } from '../workroom/Bar'
import { MailStand } from './MailStand'
import { MerchantStand } from './MerchantStand'
import { PlotterStand } from './PlotterStand'
import { PrinterStand } from './PrinterStand'
import { TapeStand } from './TapeStand'
import s from './devices.module.css'

/** Stand-ins for what a workshop has beside the table: each off until it is switched on, each with what it does. */
export default function Devices() {
  const unit = useQuery({ queryKey: ['workroom'], queryFn: () => answer(api.GET('/api/workroom')) }).data?.unit ?? 'in'
  return (
    <div className={s.page}>
      <Bar at="" />
      <main>
        <h1>Workshop devices</h1>
        <p>
          These are simulated, and do what the real ones would. Nothing waits for them: whatever a device cannot do is
          told where you are, and is done by hand.
        </p>
        <TapeStand unit={unit} />
        <PlotterStand unit={unit} />
        <PrinterStand />
        <MerchantStand />
        <MailStand />
      </main>
    </div>
  )
}
