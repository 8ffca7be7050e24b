/** A style sheet of a component as a unit test sees it: every class has its own name. */
module.exports = new Proxy({ __esModule: false }, { get: (_, name) => (name === '__esModule' ? false : String(name)) })
