/** Ant Design's tokens set to ours, so that its components look like the rest. */
import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context'

export const theme: ThemeConfig = {
  token: {
    colorPrimary: '#1f4233',
    colorInfo: '#2f6175',
    colorError: '#8e2f1b',
    colorWarning: '#835208',
    colorText: '#22302a',
    colorTextSecondary: '#5e6d63',
    colorTextPlaceholder: '#6b786f',
    // Who may only read has to be able to.
    colorTextDisabled: '#55625a',
    colorBgContainerDisabled: '#f3f6f1',
    colorBorder: '#b9c7bb',
    colorBgContainer: '#ffffff',
    colorBgLayout: '#f9fbf7',
    borderRadius: 8,
    controlHeight: 36,
    fontFamily: "'Atkinson Hyperlegible Next Variable', Verdana, sans-serif",
    fontSize: 15,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
}
