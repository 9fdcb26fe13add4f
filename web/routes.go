package web

import (
	"compress/gzip"
	"runtime"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"

	"umschlag/store"
)

// routes are by what they ask of this computer: each kind has its own way there.
func (s *server) routes(e *echo.Echo, often limits) {
	packed := middleware.GzipWithConfig(middleware.GzipConfig{Level: gzip.BestSpeed, MinLength: smallest,
		Skipper: packedAlready})
	// What is tried while somebody types goes over no network where the browser is on this computer: packing it and
	// unpacking it again would take longer than sending it.
	packedAfar := middleware.GzipWithConfig(middleware.GzipConfig{Level: gzip.BestSpeed, MinLength: smallest,
		Skipper: func(c *echo.Context) bool { return packedAlready(c) || onThisComputer(c.Request()) }})
	turns := byTurns(make(chan struct{}, runtime.GOMAXPROCS(0)), longestQueue)
	api := e.Group("/api/v1", private)
	api.Any("/*", func(*echo.Context) error { return echo.ErrNotFound })
	// What hangs on nothing but what is stored is given again until something is.
	storedRoutes(s, api.Group("", often.looks, newAnswers(s.store).again, packed, turns))
	triedRoutes(s, api.Group("", often.looks, packedAfar, turns))
	changedRoutes(s, api.Group("", often.changes, packed, turns, s.behind, madeOnce))
	madeRoutes(s, api.Group("", often.files, packed, turns))
	// What sees to its own turns, or waits for something to happen, takes nobody else's.
	begunRoutes(s, api.Group("", often.files, packed))
	waitsRoutes(s, api.Group("", often.looks, packed))
}

// storedRoutes: what is stored, looked at.
func storedRoutes(s *server, g *echo.Group) {
	g.GET("/starts", s.starts)
	g.GET("/plans", s.shelf)
	g.GET("/plans/:id", s.plan)
	g.GET("/cloths", s.cloths)
	g.GET("/shopping", s.shopping)
	g.GET("/together", s.togetherView)
	g.GET("/notions", s.notions)
	g.GET("/units", s.units)
	g.GET("/samples", s.samples)
	g.GET("/samples/uses", s.sampleUses)
	g.GET("/samples/offers", s.offers)
	g.GET("/habits", s.habits)
	g.GET("/log", s.logbook)
	g.GET("/log/figures", s.figures)
}

// triedRoutes: what is worked out from what is sent or stored, and stores nothing.
func triedRoutes(s *server, g *echo.Group) {
	g.POST("/reckon", s.reckon)
	g.POST("/choose", s.choose)
	g.POST("/convert", s.convert)
	g.POST("/join", s.join)
	g.POST("/begin", s.begin)
	g.POST("/move", s.move)
	g.POST("/closures", s.closures)
	g.POST("/fold", s.fold)
	g.POST("/shapes/move", s.moveShape)
	g.POST("/layouts", s.layouts)
	g.POST("/block", s.block)
	g.GET("/plans/:id/history", s.history)
	g.GET("/plans/:id/schedule", s.schedule)
	g.POST("/cloths/weigh", s.weigh)
	g.GET("/plans/:id/cloths/:letter/sold", s.soldAs)
	g.GET("/practice", s.practice)
	g.GET("/door", s.doorView)
	g.POST("/samples/tell", s.tellSample)
}

// changedRoutes: what stores something.
func changedRoutes(s *server, g *echo.Group) {
	g.POST("/plans", s.createPlan)
	g.PUT("/plans/:id", s.savePlan)
	g.DELETE("/plans/:id", s.putAway(true))
	g.POST("/plans/:id/bring-back", s.putAway(false))
	g.POST("/plans/:id/undo", s.step(store.Undo))
	g.POST("/plans/:id/redo", s.step(store.Redo))
	g.POST("/plans/:id/restore", s.back(s.restore))
	g.POST("/plans/:id/finish", s.finish)
	g.POST("/cloths", s.addCloth)
	g.POST("/plans/:id/cloths/:letter/keep", s.keepCloth)
	g.POST("/plans/:id/cloths/:letter/let-go", s.letClothGo)
	g.POST("/plans/:id/cloths/:letter/return", s.returnCloth)
	g.POST("/practice", s.answerPractice)
	g.POST("/notions", s.addNotion)
	g.PUT("/notions/:id", s.saveNotion)
	g.DELETE("/notions/:id", s.removeNotion)
	g.POST("/units", s.addUnits)
	g.PUT("/units/:id", s.saveUnits)
	g.DELETE("/units/:id", s.removeUnits)
	g.PUT("/cloths/:id", s.saveCloth)
	g.DELETE("/cloths/:id", s.removeCloth)
	g.POST("/door/codes", s.newCode)
	g.POST("/plans/:id/send", s.send)
	g.POST("/samples", s.addSample)
	g.PUT("/samples/:id", s.saveSample)
	g.DELETE("/samples/:id", s.putSampleAway(true))
	g.POST("/samples/:id/bring-back", s.putSampleAway(false))
	g.PUT("/habits", s.saveHabits)
	g.PUT("/log/:id", s.saveLog)
	g.DELETE("/log/:id", s.removeLog)
}

// madeRoutes: files that are read, and made.
func madeRoutes(s *server, g *echo.Group) {
	g.POST("/shapes/read", s.readShapes)
	g.GET("/plans/:id/shapes/:piece", s.shapesFile)
	g.GET("/plans/:id/plan.json", s.planFile)
	g.GET("/plans/:id/schedule.ics", s.scheduleFile)
	g.GET("/cloths.csv", s.clothsFile)
	g.POST("/cloths/table", s.takeCloths)
	g.GET("/shopping.csv", s.shoppingFile)
	g.GET("/notions.csv", s.notionsFile)
	g.POST("/notions/table", s.takeNotions)
	g.GET("/plans/:id/drawings/:sort", s.drawing)
	g.POST("/plans/:id/pattern", s.pattern)
	g.GET("/plans/:id/cuts.csv", s.cutsFile)
	g.GET("/plans/:id/steps.csv", s.stepsFile)
	g.GET("/plans/:id/pack.pdf", s.printPack)
	g.GET("/plans/:id/page.html", s.sharePage)
	g.GET("/workshop.zip", s.saveWorkshop)
	g.POST("/workshop", s.bringWorkshop)
}

// begunRoutes: long work that sees to its own turns.
func begunRoutes(s *server, g *echo.Group) {
	g.POST("/becomings", s.becomeFrom)
	g.POST("/searches", s.startSearch)
	g.POST("/photos", s.addPhoto)
}

// waitsRoutes: what waits for something to happen, and what was begun.
func waitsRoutes(s *server, g *echo.Group) {
	g.GET("/searches/:id", s.searchView)
	g.DELETE("/searches/:id", s.stopSearch)
	g.GET("/photos/:id", s.photo)
	g.GET("/devices", s.devices)
	g.PUT("/devices/:id", s.setDevice)
	g.POST("/devices/:id/press", s.press)
	g.GET("/readings", s.readings)
	g.GET("/jobs/:number", s.job)
	g.POST("/jobs/:number/resume", s.resumeJob)
	g.DELETE("/jobs/:number", s.cancelJob)
	g.GET("/jobs/:number/strokes", s.strokes)
	g.GET("/jobs/:number/pages.pdf", s.jobData)
}
