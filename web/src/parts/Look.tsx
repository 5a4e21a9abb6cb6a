import { ConfigProvider, theme } from 'antd'
import { createContext, use, useEffect, useState, type ReactNode } from 'react'
import { nonce } from './nonce'

export type Light = 'day' | 'dim'

const LightContext = createContext<{ light: Light; switchLight: () => void }>({
  light: 'day',
  switchLight: () => undefined,
})

/** The room's light, and the switch for it. */
export const useLight = () => use(LightContext)

const key = 'wrapper.light'

const tones = {
  day: { paper: '#f3eee2', raised: '#fbf8f0', ink: '#1b2329', rule: '#8b8272', chalk: '#9a3b1e', quiet: '#5f594c' },
  dim: { paper: '#14191d', raised: '#1d252b', ink: '#f1ebdd', rule: '#7d8891', chalk: '#ffb38f', quiet: '#a9b3ba' },
}

function remembered(): Light {
  try {
    return localStorage.getItem(key) === 'dim' ? 'dim' : 'day'
  } catch {
    return 'day'
  }
}

/** Themes the components by tokens for a bright or a dim room; the rest of the look is in style modules. */
export function Look({ children }: { children: ReactNode }) {
  const [light, setLight] = useState<Light>(remembered)
  useEffect(() => {
    document.documentElement.dataset.light = light
    try {
      localStorage.setItem(key, light)
    } catch {
      // Where the browser keeps nothing the light is chosen anew each time.
    }
  }, [light])
  const tone = tones[light]
  return (
    <LightContext value={{ light, switchLight: () => setLight(light === 'day' ? 'dim' : 'day') }}>
      <ConfigProvider
        csp={{ nonce }}
        wave={{ disabled: true }}
        theme={{
          algorithm: light === 'dim' ? theme.darkAlgorithm : theme.defaultAlgorithm,
          token: {
            fontFamily: '"Hyperlegible", sans-serif',
            fontSize: 17,
            controlHeight: 44,
            borderRadius: 0,
            colorPrimary: tone.ink,
            colorText: tone.ink,
            colorTextPlaceholder: tone.quiet,
            colorBgBase: tone.paper,
            colorBgContainer: tone.raised,
            colorBgElevated: tone.raised,
            colorBorder: tone.rule,
            colorError: tone.chalk,
            boxShadow: 'none',
            boxShadowSecondary: '0 2px 0 rgba(0,0,0,.25)',
            motion: false,
          },
          components: {
            Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 700, primaryColor: tone.paper },
            Modal: { titleFontSize: 20, contentBg: tone.paper, headerBg: tone.paper, footerBg: tone.paper },
            Radio: { radioSize: 22, dotSize: 12 },
            Checkbox: { controlInteractiveSize: 24 },
            Segmented: {
              itemSelectedBg: tone.ink,
              itemSelectedColor: tone.paper,
              itemColor: tone.ink,
              itemHoverColor: tone.ink,
              trackBg: tone.raised,
            },
          },
        }}
      >
        {children}
      </ConfigProvider>
    </LightContext>
  )
}
