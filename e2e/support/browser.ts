import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Browser, Builder, By, Key, error, logging, until, type WebElement } from 'selenium-webdriver'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome'
import type { ChromiumWebDriver } from 'selenium-webdriver/chromium'

const axeSource = readFileSync('node_modules/axe-core/axe.min.js', 'utf8')

/** Milliseconds that something is waited for: long, because shared machines have slow minutes. */
const patience = 45_000
/** Milliseconds from one look for it to the next. */
const lookAgain = 50

/** What of a class has an address, but for a child. */
export const places = [
  '',
  '/class',
  '/groups',
  '/games',
  '/games/landfall',
  '/games/five-flags',
  '/show/landfall',
  '/try/landfall',
  '/train/landfall',
  '/tools',
  '/plan',
  '/run',
  '/progress',
  '/print',
  '/settings',
]

/** A person at a browser: finds things by what they say, and counts what it takes. */
export class Person {
  /** Clicks, choices and texts entered so far. */
  interactions = 0

  private constructor(
    readonly driver: ChromiumWebDriver,
    readonly url: string,
  ) {}

  static async at(url: string, { width = 1280, height = 800 } = {}): Promise<Person> {
    const options = new Options()
    options.setChromeBinaryPath('/usr/bin/chromium')
    options.addArguments(
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--force-prefers-reduced-motion',
      `--window-size=${width},${height}`,
      `--user-data-dir=${mkdtempSync(join(tmpdir(), 'islands-chromium-'))}`,
    )
    const logs = new logging.Preferences()
    logs.setLevel(logging.Type.BROWSER, logging.Level.WARNING)
    options.setLoggingPrefs(logs)
    const driver = (await new Builder()
      .forBrowser(Browser.CHROME)
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
      .build()) as ChromiumWebDriver
    // The window includes the browser's own frame: the page itself is to have the size asked for.
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    })
    return new Person(driver, url)
  }

  async leave() {
    await this.driver.quit()
  }

  async goTo(path: string) {
    await this.driver.get(this.url + path)
  }

  /** A visible element by XPath, waited for: while a page streams in, parts of it stand hidden. */
  async find(xpath: string, ms = patience): Promise<WebElement> {
    const found = await this.driver.wait(
      async () => {
        for (const element of await this.driver.findElements(By.xpath(xpath)))
          if (await element.isDisplayed().catch(() => false)) return element
        return null
      },
      ms,
      `waiting for ${xpath}`,
      lookAgain,
    )
    return found!
  }

  all(css: string): Promise<WebElement[]> {
    return this.driver.findElements(By.css(css))
  }

  /** A button or link by its accessible name or text. */
  async button(name: string): Promise<WebElement> {
    const element = await this.find(
      `//*[(self::button or self::a or self::summary) and (normalize-space(.)=${quoted(name)} or @aria-label=${quoted(name)})]`,
    )
    await this.driver.wait(until.elementIsEnabled(element), patience, `${name} stays disabled`, lookAgain)
    return element
  }

  async press(name: string) {
    this.interactions++
    // A page that is just being drawn anew takes the element away: then it is looked for again.
    for (let attempt = 0; ; attempt++) {
      try {
        return await (await this.button(name)).click()
      } catch (thrown) {
        if (attempt === 5) throw thrown
        // Under a bar at the edge of the window: a person moves the page on.
        if (thrown instanceof error.ElementClickInterceptedError) await this.bringIntoView(name)
        else if (!(thrown instanceof error.StaleElementReferenceError)) throw thrown
      }
    }
  }

  private async bringIntoView(name: string) {
    await this.driver.executeScript(
      'arguments[0].scrollIntoView({ block: "center" })',
      await this.button(name),
    )
  }

  /** A form field by its label. */
  async field(label: string): Promise<WebElement> {
    const direct = `//*[(self::input or self::textarea or self::select) and @aria-label=${quoted(label)}]`
    return this.find(`${direct} | //*[@id=//label[normalize-space(.)=${quoted(label)}]/@for]`)
  }

  async enter(label: string, text: string) {
    this.interactions++
    const field = await this.field(label)
    await field.clear()
    await field.sendKeys(text)
  }

  /** Pastes text as one act, as from a clipboard. */
  async paste(label: string, text: string) {
    this.interactions++
    const field = await this.field(label)
    await field.click()
    await this.driver.sendDevToolsCommand('Input.insertText', { text })
  }

  async choose(label: string, option: string) {
    this.interactions++
    const field = await this.field(label)
    await field.findElement(By.xpath(`.//option[normalize-space(.)=${quoted(option)}]`)).click()
  }

  async keys(...keys: string[]) {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform()
  }

  heading(): Promise<string> {
    return this.find('//h1').then((element) => element.getText())
  }

  /** Waits until the page's heading matches. */
  async sees(pattern: RegExp, ms = patience): Promise<string> {
    await this.driver.wait(
      async () => pattern.test(await this.text('h1').catch(() => '')),
      ms,
      `waiting for a heading like ${pattern}`,
      lookAgain,
    )
    return this.text('h1')
  }

  text(css: string): Promise<string> {
    return this.driver.findElement(By.css(css)).getText()
  }

  async waitFor(condition: () => Promise<boolean>, what: string, ms = patience) {
    await this.driver.wait(() => condition().catch(() => false), ms, `waiting for ${what}`, lookAgain)
  }

  /** Takes the network away from the page as it stands, or gives it back. */
  network(offline: boolean): Promise<void> {
    return this.driver.executeScript<void>((off: boolean) => {
      const page = window as typeof window & { realFetch?: typeof fetch }
      page.realFetch ??= window.fetch
      window.fetch = off ? () => Promise.reject(new TypeError('no network')) : page.realFetch
      if (!off) window.dispatchEvent(new Event('online'))
    }, offline)
  }

  /** Violations that axe finds on the page as it stands: rule and the first places. */
  async axe(): Promise<string[]> {
    await this.driver.executeScript(axeSource)
    const found = (await this.driver.executeAsyncScript(
      'const done = arguments[arguments.length - 1]; axe.run().then((r) => done(r.violations.map((v) => `${v.id}: ${v.nodes.slice(0, 3).map((n) => n.target.join(" ")).join(" | ")}`)))',
    )) as string[]
    return found
  }

  /** What the browser complained of since it was asked last: scripts that fail, styles and files that are refused. */
  async complaints(): Promise<string[]> {
    return (await this.driver.manage().logs().get(logging.Type.BROWSER)).map(({ message }) => message)
  }

  async picture(file: string) {
    writeFileSync(file, Buffer.from(await this.driver.takeScreenshot(), 'base64'))
  }
}

function quoted(text: string): string {
  return text.includes("'") ? `"${text}"` : `'${text}'`
}

export { By, Key }
