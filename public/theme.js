// Sets the theme before the first paint, so that nothing flashes. The same rules stand in app/composables/useTheme.ts.
(function () {
  var saved = function (key) { try { return localStorage.getItem(key) } catch { return null } }
  var work = /\/work$|^\/together$/.test(location.pathname)
  var wish = work ? saved('oxlip-theme-work') || 'dark' : saved('oxlip-theme') || 'system'
  var dark = wish === 'dark' || (wish === 'system' && matchMedia('(prefers-color-scheme: dark)').matches)
  document.documentElement.classList.toggle('dark', dark)
})()
