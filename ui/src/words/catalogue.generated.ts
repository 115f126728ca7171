// Written by bin/generate, from ui/messages.

type Gap = string | number;

/** Messages by key, with what stands in their gaps. */
export interface Gaps {
  "care.link": null;
  "care.title": null;
  "care.aim": null;
  "care.make": null;
  "care.made": null;
  "care.none": null;
  "care.when": null;
  "care.why": null;
  "care.size": null;
  "care.get": null;
  "care.restore": null;
  "care.drop": null;
  "care.restoreTitle": { when: Gap };
  "care.restoreText": null;
  "care.dropTitle": { when: Gap };
  "care.dropText": null;
  "care.restored": { name: Gap };
  "care.schedule": null;
  "care.every": null;
  "care.everies.never": null;
  "care.everies.hour": null;
  "care.everies.day": null;
  "care.everies.week": null;
  "care.hour": null;
  "care.keep": null;
  "care.days": null;
  "care.save": null;
  "care.saved": null;
  "care.check": null;
  "care.checkAim": null;
  "care.sound": null;
  "care.broken": null;
  "care.megabytes": { number: Gap };
  "tokens.title": null;
  "tokens.aim": null;
  "tokens.name": null;
  "tokens.role": null;
  "tokens.ends": null;
  "tokens.used": null;
  "tokens.never": null;
  "tokens.make": null;
  "tokens.revoke": null;
  "tokens.revoked": { name: Gap };
  "tokens.once": null;
  "tokens.copy": null;
  "tokens.copied": null;
  "tokens.over": null;
  "tokens.none": null;
  "tokens.of": { name: Gap };
  "tokens.days": null;
  "docs.link": null;
  "docs.title": null;
  "docs.aim": null;
  "docs.document": null;
  "docs.search": null;
  "docs.query": null;
  "docs.body": null;
  "docs.answers": null;
  "docs.required": null;
  "docs.none": null;
  "docs.least.anyone": null;
  "docs.least.role": { role: Gap };
  "board.aim": null;
  "board.field": null;
  "board.table": null;
  "board.settings": { table: Gap };
  "board.tryRecord": null;
  "board.moves": { labels: Gap };
  "board.addField": null;
  "board.addPlaceholder": null;
  "board.typeOfNew": null;
  "board.pin": { field: Gap; stage: Gap };
  "board.openField": { label: Gap };
  "board.empty": null;
  "board.moveHandle": { label: Gap };
  "board.moved": { label: Gap; place: Gap };
  "board.shared": null;
  "board.open": { count: number };
  "board.openShort": { n: Gap };
  "board.ruleCount": { count: number };
  "board.deleted": { label: Gap };
  "board.undoHere": null;
  "board.types.choicesNew": null;
  "board.keys.arrows": null;
  "board.keys.move": null;
  "board.keys.open": null;
  "board.keys.moveField": null;
  "board.keys.delete": null;
  "board.keys.undo": null;
  "fieldPanel.rekeyed": { key: Gap; former: Gap };
  "fieldPanel.formerKeys": null;
  "fieldPanel.formerKey": null;
  "fieldPanel.dropKey": null;
  "fieldPanel.dropFormerKey": { key: Gap };
  "fieldPanel.title": null;
  "fieldPanel.label": null;
  "fieldPanel.type": null;
  "fieldPanel.decimals": null;
  "fieldPanel.anyDecimals": null;
  "fieldPanel.note": null;
  "fieldPanel.notePlaceholder": null;
  "fieldPanel.keyIs": null;
  "fieldPanel.known": { one: Gap };
  "fieldPanel.save": null;
  "fieldPanel.remove": null;
  "fieldPanel.retypeLoses": { examples: Gap; count: number };
  "fieldPanel.retypeKeeps": { n: Gap };
  "fieldPanel.removeTitle": { label: Gap };
  "fieldPanel.removeValues": { count: number };
  "fieldPanel.removeRules": null;
  "fieldPanel.undoNote": null;
  "link.target": null;
  "link.pick": null;
  "link.record": null;
  "link.choices.refuse": { one: Gap };
  "link.choices.clear": { one: Gap };
  "link.choices.delete": { one: Gap };
  "link.details": null;
  "link.detail": null;
  "link.how": null;
  "link.live": null;
  "link.copied": null;
  "link.liveMeans": null;
  "link.copiedMeans": null;
  "link.bring": null;
  "link.brought": { label: Gap };
  "link.onDelete": { one: Gap };
  "link.reverse": { one: Gap };
  "choices.title": null;
  "choices.source": null;
  "choices.own": null;
  "choices.shared": { name: Gap };
  "choices.retired": null;
  "choices.retiredOnes": { names: Gap };
  "choices.one": { n: Gap };
  "choices.add": null;
  "choices.editLists": null;
  "choices.lists": null;
  "choices.noLists": null;
  "choices.newList": null;
  "choices.name": null;
  "choices.drop": null;
  "choices.usedBy": { fields: Gap };
  "choices.unknown": { field: Gap };
  "choices.addThese": { field: Gap; count: number };
  "choices.addLost": { count: number };
  "choices.undo": null;
  "choices.merge": null;
  "choices.mergeInto": { name: Gap };
  "choices.becomes": { was: Gap; other: Gap };
  "choices.wasCalled": { was: Gap };
  "choices.followTitle": null;
  "choices.followAction": null;
  "choices.records": { count: number };
  "choices.mergedNote": null;
  "choices.follows": { count: number };
  "choices.followsNone": null;
  "choices.stays": null;
  "format.title": null;
  "format.ready": null;
  "format.usual": null;
  "format.ownPattern": null;
  "format.pattern": null;
  "format.group": null;
  "format.before": null;
  "format.after": null;
  "format.turned": null;
  "format.yes": null;
  "format.no": null;
  "format.blank": null;
  "format.shown": null;
  "calculation.keeping": null;
  "calculation.kinds.always.name": null;
  "calculation.kinds.always.follows": null;
  "calculation.kinds.shown.name": null;
  "calculation.kinds.shown.follows": null;
  "calculation.kinds.once.name": null;
  "calculation.kinds.once.follows": null;
  "calculation.fleeting": { what: Gap };
  "calculation.onceEffect": null;
  "calculation.failed": { count: number };
  "calculation.blank": { count: number };
  "calculation.wouldChange": { total: Gap; count: number };
  "calculation.wouldShow": { total: Gap; count: number };
  "fill.event": null;
  "fill.events.changed": null;
  "fill.events.reached": null;
  "fill.events.made": null;
  "fill.watch": null;
  "fill.anyRead": null;
  "fill.onlyThese": null;
  "fill.reaches": null;
  "fill.onlyWhile": null;
  "fill.sets": null;
  "fill.to": null;
  "fill.else": null;
  "fill.addElse": null;
  "fill.add": null;
  "fill.drop": { label: Gap };
  "fill.blankHint": null;
  "fill.onlyBlank": null;
  "fill.overrules": null;
  "fill.hand": null;
  "decision.inputs": null;
  "decision.outputs": null;
  "decision.name": null;
  "decision.namePlaceholder": null;
  "decision.addInput": null;
  "decision.addOutput": null;
  "decision.ownFormula": null;
  "decision.formulaOf": null;
  "decision.remove": { label: Gap };
  "decision.turn": { label: Gap };
  "decision.pasteHere": null;
  "decision.addRow": null;
  "decision.row": { n: Gap };
  "decision.rowUp": { n: Gap };
  "decision.rowDown": { n: Gap };
  "decision.rowRemove": { n: Gap };
  "decision.cell": { row: Gap; label: Gap };
  "decision.hint": null;
  "decision.any": null;
  "decision.cleared": null;
  "decision.copy": null;
  "decision.copied": null;
  "decision.notCopied": null;
  "decision.exportCsv": null;
  "decision.importCsv": null;
  "decision.tooWide": { has: Gap; room: Gap };
  "decision.pasted": { count: number };
  "decision.otherwise": null;
  "decision.ways.leave": null;
  "decision.ways.clear": null;
  "decision.review": null;
  "decision.sound": null;
  "decision.gaps": null;
  "decision.unreached": null;
  "decision.contradictions": null;
  "decision.both": { one: Gap; other: Gap };
  "decision.upper": { one: Gap };
  "decision.stopped": null;
  "decision.tryIt": null;
  "decision.columnsNeeded": null;
  "decision.mistakes": { count: number };
  "state.state": null;
  "state.states.shown": null;
  "state.states.enabled": null;
  "state.states.required": null;
  "state.states.read_only": null;
  "state.means.shown": null;
  "state.means.enabled": null;
  "state.means.required": null;
  "state.means.read_only": null;
  "state.while": null;
  "state.otherwise": null;
  "state.ways.keep": null;
  "state.ways.clear": null;
  "state.enforced": null;
  "state.always": null;
  "state.stay": null;
  "state.effect": { total: Gap; count: number };
  "notices.title": null;
  "notices.more": null;
  "fillEffect.fill": { differs: Gap; same: Gap };
  "fillEffect.none": { count: number };
  "fillEffect.noRow": { count: number };
  "forms.pick": null;
  "forms.design": null;
  "forms.make": null;
  "forms.open": null;
  "forms.nothingLinked": { label: Gap };
  "forms.gone": null;
  "lines.empty": null;
  "lines.add": null;
  "lines.remove": { n: Gap };
  "lines.back": { n: Gap };
  "lines.cell": { n: Gap; label: Gap };
  "designer.title": { name: Gap; table: Gap };
  "designer.builders": null;
  "designer.back": null;
  "designer.usualName": { one: Gap };
  "designer.save": null;
  "designer.saved": { name: Gap };
  "designer.remove": null;
  "designer.removed": { name: Gap };
  "designer.startOver": null;
  "designer.live": null;
  "designer.liveAim": null;
  "designer.linesHere": { label: Gap; fields: Gap };
  "designer.name": null;
  "designer.note": null;
  "designer.notePlaceholder": null;
  "designer.cursor": null;
  "designer.skipFilled": null;
  "designer.ownOrder": null;
  "designer.earlier": { label: Gap };
  "designer.later": { label: Gap };
  "designer.jumps": null;
  "designer.after": null;
  "designer.to": null;
  "designer.firstBlank": null;
  "designer.end": null;
  "designer.jumpWhile": null;
  "designer.addJump": null;
  "designer.dropJump": null;
  "designer.buttons": null;
  "designer.buttonNames.copy": null;
  "designer.buttonNames.next": null;
  "designer.buttonNames.save_next": null;
  "designer.section": { n: Gap };
  "designer.sectionTitle": { n: Gap };
  "designer.noTitle": null;
  "designer.columns": null;
  "designer.columnCount": { count: number };
  "designer.addSection": null;
  "designer.dropSection": { n: Gap };
  "designer.add": null;
  "designer.fields": null;
  "designer.details": null;
  "designer.lines": null;
  "designer.linesOf": { table: Gap };
  "designer.detailsOf": { label: Gap };
  "designer.width": { label: Gap };
  "designer.drop": { label: Gap };
  "designer.ruleCount": { count: number };
  "designer.carries": null;
  "designer.begins": null;
  "designer.label": null;
  "designer.ownLabel": null;
  "designer.hint": null;
  "designer.carry": null;
  "designer.default": null;
  "designer.states": null;
  "designer.while": null;
  "designer.addState": null;
  "designer.dropState": null;
  "designer.tableRules": null;
  "designer.innerFields": null;
  "designer.movedTo": { label: Gap; section: Gap; place: Gap };
  "designer.widths.full": null;
  "designer.widths.part": { n: Gap; of: Gap };
  "designer.keys.move": null;
  "designer.keys.width": null;
  "designer.keys.remove": null;
  "map.title": null;
  "map.rule": null;
  "map.stages.default": null;
  "map.stages.mask": null;
  "map.stages.tidy": null;
  "map.stages.fill": null;
  "map.stages.calculate": null;
  "map.stages.number": null;
  "map.stages.validate": null;
  "map.stages.log": null;
  "map.aim": null;
  "map.withChecks": null;
  "map.list": null;
  "map.graph": null;
  "map.find": null;
  "map.feeds": null;
  "map.follows": null;
  "map.writes": null;
  "map.checks": null;
  "map.reads": null;
  "map.sets": null;
  "map.byHand": null;
  "map.openRule": null;
  "map.openField": null;
  "map.onMap": null;
  "map.clear": null;
  "map.before": null;
  "map.place": { n: Gap };
  "map.empty": null;
  "sheet.title": { project: Gap };
  "sheet.aim": null;
  "sheet.print": null;
  "sheet.name": null;
  "sheet.markdown": null;
  "sheet.shown.state": { state: Gap; seen: Gap; of: Gap };
  "sheet.shown.more": { n: Gap };
  "writers.title": { label: Gap; table: Gap };
  "writers.key": null;
  "writers.none": null;
  "formula.before": null;
  "formula.outside": null;
  "pieces.wayOfWriting": null;
  "pieces.typed": null;
  "pieces.together": null;
  "pieces.cannotShow": null;
  "pieces.shape": null;
  "pieces.shapes.text": null;
  "pieces.shapes.choice": null;
  "pieces.shapes.condition": null;
  "pieces.textName": null;
  "pieces.ifName": null;
  "pieces.thenName": null;
  "pieces.elseName": null;
  "pieces.conditionName": null;
  "pieces.nothing": null;
  "pieces.addField": null;
  "pieces.addText": null;
  "pieces.addTest": null;
  "pieces.field": null;
  "pieces.text": null;
  "pieces.pickField": null;
  "pieces.person": null;
  "pieces.whenFilled": null;
  "pieces.before": null;
  "pieces.after": null;
  "pieces.earlier": null;
  "pieces.later": null;
  "pieces.remove": null;
  "pieces.match": null;
  "pieces.all": null;
  "pieces.any": null;
  "pieces.relation": null;
  "pieces.value": null;
  "pieces.way": null;
  "pieces.ways.value": null;
  "pieces.ways.field": null;
  "pieces.ways.today": null;
  "pieces.ways.now": null;
  "pieces.spaces": { count: number };
  "pieces.listHint": null;
  "pieces.dayRelations.<": null;
  "pieces.dayRelations.<=": null;
  "pieces.dayRelations.>": null;
  "pieces.dayRelations.>=": null;
  "pieces.relations.=": null;
  "pieces.relations.<>": null;
  "pieces.relations.<": null;
  "pieces.relations.<=": null;
  "pieces.relations.>": null;
  "pieces.relations.>=": null;
  "pieces.relations.in": null;
  "pieces.relations.not in": null;
  "filter.open": null;
  "filter.show": null;
  "filter.clear": null;
  "filter.keep": null;
  "filter.searched": { text: Gap };
  "filter.searchAim": null;
  "language.title": null;
  "language.link": null;
  "language.aim": null;
  "language.signs": null;
  "language.lines.fields": null;
  "language.lines.links": null;
  "language.lines.old": null;
  "language.lines.user": null;
  "language.lines.literals": null;
  "language.lines.sums": null;
  "language.lines.join": null;
  "language.lines.comparisons": null;
  "language.lines.conditions": null;
  "language.lines.if": null;
  "language.lines.totals": null;
  "language.lines.remark": null;
  "grid.open": { title: Gap };
  "grid.pick": { n: Gap };
  "grid.pickAll": null;
  "grid.newRow": null;
  "grid.columns": null;
  "grid.columnsAim": null;
  "grid.hold": { label: Gap };
  "grid.release": { label: Gap };
  "grid.showColumn": { label: Gap };
  "grid.moveColumn": { label: Gap };
  "grid.usual": null;
  "grid.width": { label: Gap };
  "grid.sortBy": { label: Gap };
  "grid.sorted": { place: Gap };
  "grid.total": { label: Gap };
  "grid.totals.filled": null;
  "grid.totals.blank": null;
  "grid.totals.sum": null;
  "grid.totals.average": null;
  "grid.totals.least": null;
  "grid.totals.greatest": null;
  "grid.noTotal": null;
  "grid.hint": null;
  "grid.keepView": null;
  "grid.viewName": null;
  "grid.kept": { name: Gap };
  "grid.dropView": { name: Gap };
  "grid.byRule": null;
  "grid.why": null;
  "grid.whyNot": null;
  "grid.copied": { count: number };
  "grid.tooMuch": null;
  "grid.emptyRow": null;
  "grid.nothingChanged": null;
  "grid.nothingTyped": null;
  "grid.gaveUp": null;
  "grid.find": null;
  "grid.findOn": null;
  "grid.findBack": null;
  "grid.findClose": null;
  "grid.findAim": null;
  "grid.found": { n: Gap; count: number };
  "grid.foundNone": { text: Gap };
  "grid.nothingToRedo": null;
  "grid.waitingPlace": { n: Gap; of: Gap };
  "grid.waitingNext": null;
  "grid.waitingBefore": null;
  "grid.waitingShow": null;
  "grid.nothingToUndo": null;
  "grid.pasting": null;
  "grid.waiting": { count: number };
  "grid.waitingAim": null;
  "grid.retry": null;
  "grid.leaveAllOut": null;
  "grid.rows": { count: number };
  "grid.columnCount": { count: number };
  "grid.ofMany": { rows: Gap; columns: Gap };
  "grid.redone": { n: Gap };
  "grid.redoneSome": { n: Gap; left: Gap };
  "grid.undone": { n: Gap };
  "grid.undoneSome": { n: Gap; left: Gap };
  "grid.pasted.saved": { count: number };
  "grid.pasted.refused": { count: number };
  "grid.pasted.skipped": { count: number };
  "bulk.picked": { count: number };
  "bulk.allOf": { n: Gap };
  "bulk.unpick": null;
  "bulk.change": null;
  "bulk.copy": null;
  "bulk.number": null;
  "bulk.tidy": null;
  "bulk.delete": null;
  "bulk.titles.change": { table: Gap; count: number };
  "bulk.titles.copy": { table: Gap; count: number };
  "bulk.titles.number": { table: Gap; count: number };
  "bulk.titles.tidy": { table: Gap; count: number };
  "bulk.titles.delete": { table: Gap; count: number };
  "bulk.field": null;
  "bulk.becomes": null;
  "bulk.blank": null;
  "bulk.looking": null;
  "bulk.refusedBy": null;
  "bulk.noRule": null;
  "bulk.what": null;
  "bulk.oneEntry": null;
  "bulk.nothing": null;
  "bulk.done": { count: number };
  "bulk.takeBack": null;
  "bulk.more": { n: Gap };
  "bulk.would.delete": { saved: Gap };
  "bulk.would.deleteSome": { saved: Gap; refused: Gap };
  "bulk.would.copy": { count: number };
  "bulk.would.copySome": { refused: Gap; count: number };
  "bulk.would.change": { saved: Gap; refused: Gap; count: number };
  "bulk.go.change": { count: number };
  "bulk.go.copy": { count: number };
  "bulk.go.number": { count: number };
  "bulk.go.tidy": { count: number };
  "bulk.go.delete": { count: number };
  "bulk.goPassing.change": { count: number };
  "bulk.goPassing.copy": { count: number };
  "bulk.goPassing.number": { count: number };
  "bulk.goPassing.tidy": { count: number };
  "bulk.goPassing.delete": { count: number };
  "imports.link": null;
  "imports.title": { table: Gap };
  "imports.newTitle": null;
  "imports.newLink": null;
  "imports.aim": null;
  "imports.drop": null;
  "imports.or": null;
  "imports.formats": null;
  "imports.sending": { percent: Gap };
  "imports.another": null;
  "imports.encoding": { name: Gap };
  "imports.divided.,": null;
  "imports.divided.;": null;
  "imports.divided.\t": null;
  "imports.divided.|": null;
  "imports.sheet": null;
  "imports.column": null;
  "imports.shows": null;
  "imports.field": null;
  "imports.leftOut": null;
  "imports.readAs": null;
  "imports.orders.dmy": null;
  "imports.orders.mdy": null;
  "imports.orders.ymd": null;
  "imports.marks..": null;
  "imports.marks.,": null;
  "imports.match": null;
  "imports.matchNone": null;
  "imports.matchBy": { label: Gap };
  "imports.blanks": null;
  "imports.blanksLeft": null;
  "imports.blanksKept": null;
  "imports.tryIt": null;
  "imports.tryAgain": null;
  "imports.would": null;
  "imports.was": null;
  "imports.row": { n: Gap };
  "imports.byRule": null;
  "imports.unreadable": null;
  "imports.rows": null;
  "imports.saveAll": { count: number };
  "imports.savePassing": { count: number };
  "imports.getRefused": null;
  "imports.mend": null;
  "imports.oneEntry": null;
  "imports.takeBack": null;
  "imports.toRecords": null;
  "imports.done": { count: number };
  "imports.tableName": null;
  "imports.type": null;
  "imports.rules": null;
  "imports.noRules": null;
  "imports.make": null;
  "imports.makeNote": null;
  "imports.told.file": { format: Gap; rows: Gap };
  "imports.told.rows": { count: number };
  "imports.told.about": { count: number };
  "imports.filled.always": null;
  "imports.filled.some": { blank: Gap; all: Gap };
  "imports.tried.new": { n: Gap };
  "imports.tried.changed": { n: Gap };
  "imports.tried.unchanged": { n: Gap };
  "imports.tried.refused": { n: Gap };
  "imports.tried.nothing": null;
  "imports.samples": { count: number };
  "exports.link": null;
  "exports.formats.csv": null;
  "exports.formats.xlsx": null;
  "exports.formats.json": null;
  "exports.formats.jsonl": null;
  "exports.schema": null;
  "exports.note": null;
  "exports.all": null;
  "exports.allAim": null;
  "exports.sql": null;
  "exports.sqlite": null;
  "exports.package": null;
  "exports.shown": { records: Gap; columns: Gap };
  "exports.whole": { records: Gap; columns: Gap };
  "exports.records": { count: number };
  "exports.columns": { count: number };
  "numbering.formula": null;
  "numbering.formulaHint": null;
  "numbering.start": null;
  "numbering.step": null;
  "numbering.series": null;
  "numbering.byHand": null;
  "numbering.follow": null;
  "numbering.counts": null;
  "numbering.one": null;
  "numbering.next": null;
  "numbering.highest": { n: Gap };
  "numbering.set": null;
  "numbering.waiting": { count: number };
  "numbering.order": null;
  "numbering.asMade": null;
  "numbering.descending": null;
  "numbering.andMore": { n: Gap };
  "numbering.give": { count: number };
  "numbering.given": { count: number };
  "numbering.left_": { count: number };
  "numbering.opening": null;
  "numbering.pending": null;
  "numbering.left": { n: Gap };
  "numbering.past": null;
  "numbering.effect": { count: number };
  "logging.event": null;
  "logging.events.madeOn": null;
  "logging.events.madeBy": null;
  "logging.events.changedOn": null;
  "logging.events.changedBy": null;
  "logging.events.reached": null;
  "logging.events.ticked": null;
  "logging.events.changed": null;
  "logging.which": null;
  "logging.first": null;
  "logging.last": null;
  "logging.clears": null;
  "logging.when": null;
  "logging.watch": null;
  "logging.anyField": null;
  "logging.onlyThese": null;
  "logging.stampHint": null;
  "logging.tallyHint": null;
  "logging.tick": null;
  "logging.pickTick": null;
  "logging.says": null;
  "logging.pattern": null;
  "logging.patternHint": null;
  "logging.lineHint": null;
  "logging.unknown": { n: Gap };
  "logging.lines": null;
  "logging.all": null;
  "logging.only": null;
  "logging.all_but": null;
  "logging.watched": null;
  "logging.watchHint": null;
  "logging.filled": { total: Gap; count: number };
  "signIn.title": null;
  "signIn.aim": null;
  "signIn.name": null;
  "signIn.password": null;
  "signIn.submit": null;
  "signIn.demo": null;
  "signIn.demoAim": null;
  "signIn.does.builder": null;
  "signIn.does.clerk": null;
  "signIn.does.reader": null;
  "signIn.setUp": null;
  "signIn.setUpAim": null;
  "signIn.firstBuilder": null;
  "signIn.project": null;
  "signIn.zone": null;
  "signIn.begin": null;
  "people.title": null;
  "people.aim": null;
  "people.add": null;
  "people.name": null;
  "people.signIn": null;
  "people.email": null;
  "people.role": null;
  "people.state": null;
  "people.change": null;
  "people.changeOf": { name: Gap };
  "people.roles.builder": null;
  "people.roles.clerk": null;
  "people.roles.reader": null;
  "people.does.builder": null;
  "people.does.clerk": null;
  "people.does.reader": null;
  "people.active": null;
  "people.inactive": null;
  "people.noPassword": null;
  "people.maySignIn": null;
  "people.setPassword": null;
  "people.leaveBlank": null;
  "people.passwordHint": null;
  "people.kept": { name: Gap };
  "people.note": null;
  "people.ownPassword": null;
  "people.oldPassword": null;
  "people.newPassword": null;
  "people.changePassword": null;
  "people.passwordChanged": null;
  "people.signOut": null;
  "people.signOutAsk": null;
  "people.signOutDo": null;
  "people.signOutLoses": { count: number };
  "people.signedInAs": null;
  "access.title": null;
  "access.table": null;
  "access.field": null;
  "access.builders": null;
  "access.usual": null;
  "access.tableLevels.nothing": null;
  "access.tableLevels.see": null;
  "access.tableLevels.edit": null;
  "access.tableLevels.delete": null;
  "access.fieldLevels.nothing": null;
  "access.fieldLevels.see": null;
  "access.fieldLevels.edit": null;
  "access.readOnlyTable": { role: Gap };
  "access.readOnlyBoard": null;
  "project.name": null;
  "project.title": null;
  "project.aim": null;
  "project.out": null;
  "project.in": null;
  "project.of": { name: Gap };
  "project.refused": { count: number };
  "project.same": null;
  "project.counts": { count: number; changed: Gap };
  "project.loses": { count: number; field: Gap };
  "project.people": { names: Gap };
  "project.changes": null;
  "project.adds": null;
  "project.bringIn": null;
  "project.done": { name: Gap };
  "bench.setup": null;
  "bench.aim": null;
  "bench.begin": null;
  "bench.newRecord": null;
  "bench.copyOf": null;
  "bench.realOne": null;
  "bench.ownOne": null;
  "bench.whichRecord": null;
  "bench.form": null;
  "bench.noForm": null;
  "bench.person": null;
  "bench.starts.copy": null;
  "bench.starts.real": null;
  "bench.as": { name: Gap };
  "bench.nobody": null;
  "bench.clock": null;
  "bench.realClock": null;
  "bench.pretend": null;
  "bench.backToNow": null;
  "bench.manner": null;
  "bench.oneByOne": null;
  "bench.atOnce": null;
  "bench.trial": null;
  "bench.refusals": { count: number };
  "bench.keep": null;
  "bench.trace": null;
  "bench.typedStage": null;
  "bench.nothingHere": null;
  "bench.nothingWritten": null;
  "bench.clear": null;
  "bench.passed": null;
  "bench.skipped": null;
  "bench.blank": null;
  "bench.rule": null;
  "bench.unfold": null;
  "bench.whyShort": null;
  "bench.why": { field: Gap };
  "bench.whyBlank": { field: Gap };
  "bench.acts": null;
  "bench.typedCount": { n: Gap };
  "bench.takeBack": null;
  "bench.save": null;
  "bench.copy": null;
  "bench.remove": null;
  "bench.putBack": null;
  "bench.another": { one: Gap };
  "bench.leaveOpen": null;
  "bench.leaveOpenHint": null;
  "bench.days": null;
  "bench.hours": null;
  "bench.wait": null;
  "bench.outcome.wouldBeRefused": null;
  "bench.outcome.refused": null;
  "bench.outcome.deleted": null;
  "bench.outcome.back": null;
  "bench.outcome.wouldBeSaved": null;
  "bench.outcome.saved": null;
  "bench.changes.would": { count: number };
  "bench.changes.did": { count: number };
  "bench.did.refused": null;
  "bench.did.saved": null;
  "bench.did.notDeleted": null;
  "bench.did.deleted": null;
  "bench.did.notRestored": null;
  "bench.did.restored": null;
  "bench.did.days": { count: number };
  "bench.did.hours": { n: Gap };
  "bench.did.later": { span: Gap };
  "bench.did.as": { name: Gap };
  "bench.did.another": null;
  "bench.did.copied": null;
  "proofs.title": null;
  "proofs.states.proven": null;
  "proofs.states.partly": null;
  "proofs.states.untried": null;
  "proofs.states.broken": null;
  "proofs.states.passed": null;
  "proofs.states.unfit": null;
  "proofs.states.waiting": null;
  "proofs.running": { done: Gap; of: Gap };
  "proofs.runAll": null;
  "proofs.empty": null;
  "proofs.suggest": null;
  "proofs.missingTitle": { table: Gap };
  "proofs.allSeen": null;
  "proofs.make": null;
  "proofs.seenOf": { n: Gap; of: Gap };
  "proofs.differs": { expected: Gap; actual: Gap };
  "proofs.but": { actual: Gap };
  "proofs.expects": null;
  "proofs.firstStep": { stage: Gap; field: Gap };
  "proofs.noStep": null;
  "proofs.change": null;
  "proofs.drop": null;
  "proofs.dropped": { name: Gap };
  "proofs.putAside": null;
  "proofs.keepTitle": null;
  "proofs.changeTitle": null;
  "proofs.name": null;
  "proofs.namePlaceholder": null;
  "proofs.group": null;
  "proofs.groupPlaceholder": null;
  "proofs.note": null;
  "proofs.notePlaceholder": null;
  "proofs.must": null;
  "proofs.nothingExpected": null;
  "proofs.expectMore": null;
  "proofs.alsoSeen": { count: number };
  "proofs.bringsHint": null;
  "proofs.bringMore": null;
  "proofs.leaveOut": { name: Gap };
  "proofs.fillMore": { name: Gap };
  "proofs.fillOther": null;
  "proofs.atEnd": null;
  "proofs.afterAct": { n: Gap };
  "proofs.when": null;
  "proofs.keepIt": null;
  "proofs.saveChange": null;
  "proofs.kept": { name: Gap };
  "proofs.expectation.what": null;
  "proofs.expectation.field": null;
  "proofs.expectation.is": null;
  "proofs.expectation.before": null;
  "proofs.expectation.after": null;
  "proofs.expectation.fits": null;
  "proofs.expectation.from": null;
  "proofs.expectation.to": null;
  "proofs.expectation.end": null;
  "proofs.expectation.by": null;
  "proofs.expectation.byAny": null;
  "proofs.expectation.message": null;
  "proofs.expectation.remove": null;
  "proofs.expectation.yes": null;
  "proofs.expectation.no": null;
  "proofs.expectation.kinds.saved": null;
  "proofs.expectation.kinds.refused": null;
  "proofs.expectation.kinds.deleted": null;
  "proofs.expectation.kinds.value": null;
  "proofs.expectation.kinds.state": null;
  "proofs.expectation.kinds.number": null;
  "proofs.expectation.kinds.logged": null;
  "proofs.expectation.kinds.unlogged": null;
  "proofs.expectation.kinds.cursor": null;
  "proofs.expectation.states.shown": null;
  "proofs.expectation.states.hidden": null;
  "proofs.expectation.states.open": null;
  "proofs.expectation.states.closed": null;
  "proofs.expectation.states.required": null;
  "proofs.expectation.states.optional": null;
  "proofs.expectation.states.read_only": null;
  "proofs.expectation.states.writable": null;
  "proofs.wouldBreak": { count: number };
  "proofs.wouldMend": { count: number };
  "proofs.breaksNone": { count: number };
  "proofs.noneConcerned": null;
  "proofs.ofRule": null;
  "proofs.unseen": null;
  "proofs.more": { n: Gap };
  "proofs.covered": { of: Gap; count: number };
  "proofs.missing": { count: number };
  "proofs.brings": { count: number };
  "proofs.seenBy": { count: number };
  "proofs.board": { proven: Gap; of: Gap };
  "proofs.boardBroken": { proven: Gap; of: Gap; broken: Gap };
  "mistakes.title": { table: Gap };
  "mistakes.aim": null;
  "mistakes.counting": { done: Gap; total: Gap };
  "mistakes.waiting": null;
  "mistakes.noticed": { noticed: Gap; tried: Gap };
  "mistakes.failed": null;
  "mistakes.slipping": { count: number };
  "mistakes.make": null;
  "mistakes.making": null;
  "mistakes.none": null;
  "mistakes.nothing": null;
  "mistakes.harmless": { count: number };
  "mistakes.group": null;
  "edges.tryRule": null;
  "edges.tryShow": null;
  "edges.tryHide": null;
  "edges.setsNothing": null;
  "edges.tryAim": null;
  "edges.tryNone": null;
  "edges.cameOut": { values: Gap };
  "edges.title": { table: Gap };
  "edges.aim": null;
  "edges.which": null;
  "edges.open": null;
  "edges.all": null;
  "edges.count": { count: number };
  "edges.allRight": null;
  "edges.unsound": null;
  "edges.none": null;
  "edges.right": null;
  "edges.mustSave": null;
  "edges.mustRefuse": null;
  "edges.leave": null;
  "edges.saved": null;
  "edges.look": null;
  "edges.keep": { count: number };
  "edges.kept": { count: number };
  "edges.group": null;
  "edges.typed": { label: Gap; value: Gap };
  "edges.leftBlank": { label: Gap };
  "edges.refused": { messages: Gap };
  "samples.atSize": { n: Gap };
  "samples.name": null;
  "samples.title": { table: Gap };
  "samples.aim": null;
  "samples.which": null;
  "samples.pass": null;
  "samples.fail": null;
  "samples.count": null;
  "samples.seed": null;
  "samples.seedHint": null;
  "samples.make": null;
  "samples.show": null;
  "samples.rule": null;
  "samples.made": { n: Gap };
  "samples.there": null;
  "samples.takeOut": null;
  "samples.takenOut": null;
  "samples.noneFails": null;
  "samples.download": null;
  "samples.failing": { n: Gap; message: Gap };
  "samples.failingSome": { n: Gap; wanted: Gap; message: Gap };
  "form.save": null;
  "form.saveNext": null;
  "form.remove": null;
  "form.copyNew": null;
  "form.saved": { title: Gap };
  "form.unchanged": null;
  "form.saving": null;
  "form.nothingTyped": null;
  "form.openAddress": { text: Gap };
  "form.silent": null;
  "form.typeOn": null;
  "form.held": null;
  "form.aside": null;
  "form.unplaced": null;
  "form.dropAside": null;
  "form.astray": { text: Gap };
  "form.noPlace": { key: Gap; most: Gap };
  "form.elsewhere": { label: Gap };
  "form.openAll": null;
  "form.deleted": { title: Gap };
  "form.removeTitle": { title: Gap };
  "form.removeText": null;
  "form.refused": { count: number };
  "form.stillHere": null;
  "form.restored": null;
  "form.startOver": null;
  "form.typed": null;
  "form.blank": null;
  "form.history": null;
  "form.copy": null;
  "form.given": null;
  "form.closed": null;
  "form.required": null;
  "form.conflictTitle": null;
  "form.changedBy": { person: Gap };
  "form.compare": null;
  "form.compareKey": null;
  "form.conflictText": null;
  "form.before": null;
  "form.theirs": null;
  "form.mine": null;
  "form.by": { person: Gap };
  "form.merge": null;
  "form.pickDay": null;
  "form.noChoice": null;
  "form.linkedHere": null;
  "form.retired": { choice: Gap };
  "form.makeAndPick": null;
  "form.passWith": null;
  "form.reason": null;
  "form.passable": null;
  "form.tooMuchPasted": { n: Gap; most: Gap };
  "form.noMatch": null;
  "form.twins": null;
  "form.cantRemove": { title: Gap };
  "form.needed": null;
  "form.along": { table: Gap; count: number };
  "form.cleared": { field: Gap; table: Gap; count: number };
  "form.gone": null;
  "form.noFields": null;
  "form.addFields": null;
  "form.moveOn": null;
  "form.newTitle": { one: Gap };
  "form.spokenFilled": { label: Gap; text: Gap };
  "form.spokenBlank": { label: Gap };
  "form.noChoiceBegins": { text: Gap; choices: Gap };
  "form.makeNew": { text: Gap };
  "form.makeNewOne": null;
  "records.add": null;
  "records.empty": null;
  "records.emptyTyped": null;
  "records.addFirst": null;
  "records.number": null;
  "records.notTyped": { label: Gap };
  "records.filtered": { n: Gap; total: Gap };
  "records.noMatch": null;
  "records.cellRefused": null;
  "records.yes": null;
  "records.no": null;
  "records.clash": { person: Gap; text: Gap };
  "records.clashBlank": { person: Gap };
  "records.shown": { count: number };
  "records.shownSome": { n: Gap; total: Gap };
  "history.design": null;
  "history.aim": null;
  "history.designAim": null;
  "history.verbs.create": null;
  "history.verbs.update": null;
  "history.verbs.delete": null;
  "history.verbs.restore": null;
  "history.verbs.restored": null;
  "history.ways.form": null;
  "history.ways.grid": null;
  "history.ways.api": null;
  "history.ways.tidy": null;
  "history.ways.numbers": null;
  "history.ways.import": null;
  "history.ways.put back": null;
  "history.ways.backup": null;
  "history.ways.rule": null;
  "history.everything": null;
  "history.filter": null;
  "history.person": null;
  "history.field": null;
  "history.rule": null;
  "history.way": null;
  "history.from": null;
  "history.to": null;
  "history.any": null;
  "history.showAll": null;
  "history.none": null;
  "history.overTime.day": null;
  "history.overTime.week": null;
  "history.overTime.month": null;
  "history.saves": { count: number };
  "history.wholeTime": null;
  "history.export.csv": null;
  "history.export.json": null;
  "history.verify": null;
  "history.sound": { n: Gap };
  "history.broken": { n: Gap };
  "history.setBack": null;
  "history.setBackAt": { n: Gap; span: Gap };
  "history.inTable": { table: Gap };
  "history.isBack": { title: Gap };
  "history.bringBack": null;
  "history.bringBackTitle": null;
  "history.putAllBack": null;
  "history.putAllBackTitle": null;
  "history.putValueBack": { field: Gap; value: Gap };
  "history.what.table": null;
  "history.what.field": null;
  "history.what.rule": null;
  "history.what.filter": null;
  "history.what.form": null;
  "history.what.proof": null;
  "history.what.list": null;
  "history.added": null;
  "history.changed": null;
  "history.removed": null;
  "history.putStateBack": null;
  "history.putRuleBack": null;
  "history.takeOff": null;
  "history.ruleBack": null;
  "history.andMore": { n: Gap };
  "history.sameDesign": null;
  "history.records_": { count: number };
  "history.undone": null;
  "history.undoBatch": null;
  "history.passed": { message: Gap; reason: Gap };
  "history.more": null;
  "history.empty": null;
  "history.blank": null;
  "history.onlyRecord": { title: Gap };
  "history.all": null;
  "history.values": { count: number };
  "history.putBack": null;
  "history.current": null;
  "history.actions.start": null;
  "history.actions.change": null;
  "history.actions.undo": null;
  "history.actions.redo": null;
  "history.actions.put back": null;
  "history.actions.restore": null;
  "history.followed": { field: Gap; table: Gap; count: number };
  "history.putBackAsk": { day: Gap };
  "history.putBackDo": null;
  "history.putBackLost": null;
  "history.putBackRecords": { place: Gap; count: number };
  "history.putBackValues": { place: Gap; count: number };
  "history.putBackNothing": null;
  "history.putBackUndo": null;
  "history.putBackDifferent": { count: number };
  "history.putBackDone": null;
  "history.barName": { span: Gap; saves: Gap };
  "history.barSpan": { from: Gap; to: Gap };
  "tidyReview.link": null;
  "tidyReview.title": { table: Gap };
  "tidyReview.aim": null;
  "tidyReview.accept": null;
  "tidyReview.ignore": null;
  "tidyReview.pick": { name: Gap };
  "tidyReview.acceptAll": { count: number };
  "tidyReview.acceptSome": { n: Gap };
  "tidyReview.ignoreAll": { count: number };
  "tidyReview.ignoreSome": { n: Gap };
  "tidyReview.acceptText": null;
  "tidyReview.ignored": { count: number };
  "tidyReview.again": { n: Gap };
  "tidyReview.empty": null;
  "tidyReview.noRules": null;
  "tidyReview.toBoard": null;
  "tidyReview.more": { n: Gap };
  "tidyReview.check": null;
  "tidyReview.howOften": null;
  "tidyReview.never": null;
  "tidyReview.every.hour": null;
  "tidyReview.every.day": null;
  "tidyReview.every.week": null;
  "tidyReview.weekday": null;
  "tidyReview.hour": null;
  "tidyReview.tell": null;
  "tidyReview.whom": null;
  "tidyReview.ifAny": null;
  "tidyReview.accepted": { count: number };
  "tidyReview.acceptedSome": { left: Gap; count: number };
  "tidyReview.days.monday": null;
  "tidyReview.days.tuesday": null;
  "tidyReview.days.wednesday": null;
  "tidyReview.days.thursday": null;
  "tidyReview.days.friday": null;
  "tidyReview.days.saturday": null;
  "tidyReview.days.sunday": null;
  "drafts.short": null;
  "drafts.onTack": null;
  "drafts.kept": null;
  "drafts.overtaken": null;
  "drafts.drop": null;
  "rulePanel.lockReach": null;
  "rulePanel.lockWhole": null;
  "rulePanel.lockFields": null;
  "rulePanel.lockWholeAim": null;
  "rulePanel.lockFieldsAim": null;
  "rulePanel.showFault": null;
  "rulePanel.while": null;
  "rulePanel.onlyWhile": null;
  "rulePanel.fixedMessage": null;
  "rulePanel.withValues": null;
  "rulePanel.onlyWarn": null;
  "rulePanel.letOld": null;
  "rulePanel.low": null;
  "rulePanel.high": null;
  "rulePanel.limitsHint": null;
  "rulePanel.least": null;
  "rulePanel.most": null;
  "rulePanel.inTable": null;
  "rulePanel.asField": null;
  "rulePanel.alsoLocked": null;
  "rulePanel.exceptRole": null;
  "rulePanel.nobody": null;
  "rulePanel.copyFrom": null;
  "rulePanel.copyHint": null;
  "rulePanel.stale": null;
  "rulePanel.lookAt": null;
  "rulePanel.anyRecord": { one: Gap };
  "rulePanel.more_": null;
  "rulePanel.lookAtNone": null;
  "rulePanel.blank": null;
  "rulePanel.newTitle": { stage: Gap };
  "rulePanel.on": null;
  "rulePanel.begin": null;
  "rulePanel.fixed": null;
  "rulePanel.worked": null;
  "rulePanel.formula": null;
  "rulePanel.condition": null;
  "rulePanel.message": null;
  "rulePanel.name": null;
  "rulePanel.namePlaceholder": null;
  "rulePanel.note": null;
  "rulePanel.more": null;
  "rulePanel.messageAt": null;
  "rulePanel.save": null;
  "rulePanel.saveChange": null;
  "rulePanel.remove": null;
  "rulePanel.removed": null;
  "rulePanel.results": null;
  "rulePanel.noRecords": null;
  "rulePanel.opening": null;
  "rulePanel.nothing": null;
  "rulePanel.effect.default": null;
  "rulePanel.effect.unjudged": { n: Gap };
  "rulePanel.effect.partial": { n: Gap; total: Gap };
  "rulePanel.effect.doubles": { n: Gap; total: Gap };
  "rulePanel.effect.mend": null;
  "rulePanel.effect.letBe": null;
  "rulePanel.effect.warned": null;
  "rulePanel.effect.rewritten": { count: number };
  "rulePanel.effect.tidiedLater": null;
  "rulePanel.effect.review": null;
  "rulePanel.effect.straysStay": null;
  "rulePanel.effect.locked": { n: Gap; total: Gap };
  "rulePanel.effect.refuses": { total: Gap; count: number };
  "rulePanel.effect.strayed": { total: Gap; count: number };
  "rulePanel.effect.tidied": { total: Gap; count: number };
  "rulePanel.effect.strays": { total: Gap; count: number };
  "rulePanel.verdicts.refused": null;
  "rulePanel.verdicts.strays": null;
  "rulePanel.verdicts.locked": null;
  "rulePanel.verdicts.passed": null;
  "rulePanel.verdicts.unjudged": null;
  "rulePanel.verdicts.failed": null;
  "rulePanel.verdicts.changes": null;
  "rulePanel.verdicts.differs": null;
  "rulePanel.verdicts.blank": null;
  "rulePanel.verdicts.same": null;
  "rulePanel.verdicts.idle": null;
  "rulePanel.verdicts.noRow": null;
  "rulePanel.choose": null;
  "mask.way": null;
  "mask.ways.example": null;
  "mask.ways.pieces": null;
  "mask.ways.text": null;
  "mask.ways.ready": null;
  "mask.typeExample": null;
  "mask.meant": null;
  "mask.noReading": null;
  "mask.reads": null;
  "mask.such": null;
  "mask.tryIt": null;
  "mask.complete": null;
  "mask.refused": { why: Gap };
  "mask.storedAs": { text: Gap };
  "mask.half": null;
  "mask.halves.refuse": null;
  "mask.halves.clear": null;
  "mask.drop": null;
  "mask.usual": null;
  "mask.optional": null;
  "mask.several": { n: Gap };
  "mask.addKind": null;
  "mask.addText": null;
  "mask.least": null;
  "mask.most": null;
  "mask.to": null;
  "mask.kind": null;
  "mask.kinds.DIGIT": null;
  "mask.kinds.UPPER": null;
  "mask.kinds.LOWER": null;
  "mask.kinds.ALPHA": null;
  "mask.kinds.ALNUM": null;
  "mask.kinds.ANY": null;
  "narrow.list": null;
  "narrow.pasteHint": { parent: Gap; field: Gap };
  "narrow.wholeRow": null;
  "narrow.way": null;
  "narrow.condition": null;
  "narrow.byList": null;
  "narrow.belongs": { label: Gap };
  "narrow.dependsOn": null;
  "narrow.otherwise": null;
  "narrow.ways.clear": null;
  "narrow.ways.keep": null;
  "narrow.ways.refuse": null;
  "narrow.message": null;
  "narrow.usual": null;
  "narrow.pairs": { count: number };
  "narrow.pastedValues": { count: number };
  "narrow.pasted": { pairs: Gap; values: Gap };
  "narrow.pastedUnknown": { pairs: Gap; unknown: Gap };
  "narrow.hint": { key: Gap; label: Gap };
  "narrow.hintAlone": { key: Gap };
  "tidy.steps": null;
  "tidy.add": null;
  "tidy.earlier": null;
  "tidy.later": null;
  "tidy.remove": null;
  "tidy.example": null;
  "tidy.when": null;
  "tidy.modes.save": null;
  "tidy.modes.suggest": null;
  "tidy.settings.just_so": null;
  "tidy.settings.prefixes": null;
  "tidy.settings.also": null;
  "tidy.settings.from": null;
  "tidy.settings.to": null;
  "tidy.kinds.letters": null;
  "tidy.kinds.digits": null;
  "tidy.kinds.spaces": null;
  "tidy.kinds.punctuation": null;
  "tidy.kinds.symbols": null;
  "security.again": null;
  "security.againWhy": null;
  "security.goOn": null;
  "security.sessions": null;
  "security.since": { day: Gap };
  "security.used": { day: Gap };
  "security.here": null;
  "security.end": null;
  "security.endOf": { name: Gap; device: Gap };
  "security.ended": null;
  "security.endOthers": null;
  "security.othersEnded": null;
  "security.log": null;
  "security.logAim": null;
  "security.nothing": null;
  "security.older": null;
  "security.demoRuns": null;
  "security.endDemo": null;
  "security.endDemoAsk": null;
  "security.endDemoText": null;
  "security.demoEnded": { count: number };
  "security.passwordFirst": null;
  "security.anonymise": null;
  "security.anonymiseAsk": { name: Gap };
  "security.anonymiseText": { id: Gap };
  "security.anonymiseDo": null;
  "security.anonymised": { name: Gap };
  "security.code": null;
  "security.codeHint": null;
  "name": null;
  "views.rules": null;
  "views.forms": null;
  "views.records": null;
  "views.bench": null;
  "views.history": null;
  "views.map": null;
  "errors.offline": null;
  "errors.unexpected": null;
  "errors.missingPage": null;
  "errors.notLoaded": null;
  "errors.notShown": null;
  "errors.notLoadedText": null;
  "errors.loadAgain": null;
  "errors.backToTables": null;
  "shell.allTables": null;
  "shell.find": null;
  "shell.findHint": null;
  "shell.nothingFound": null;
  "shell.shortcuts": null;
  "shell.theme.calico": null;
  "shell.theme.lamplight": null;
  "shell.you": null;
  "shell.undo": null;
  "shell.redo": null;
  "shell.undone": { what: Gap };
  "shell.redone": { what: Gap };
  "shell.nothingToUndo": null;
  "shell.nothingToRedo": null;
  "shell.skip": null;
  "shell.clock": { zone: Gap };
  "overview.aim": null;
  "overview.add": null;
  "overview.addPlaceholder": null;
  "overview.create": null;
  "overview.records": { count: number };
  "overview.fields": { count: number };
  "overview.rules": { count: number };
  "overview.empty": null;
  "overview.rename": null;
  "overview.remove": null;
  "overview.removeTitle": { table: Gap };
  "overview.removeText": { n: Gap };
  "overview.removeElsewhere": null;
  "overview.removed": { table: Gap };
  "overview.renameTitle": null;
  "overview.label": null;
  "overview.one": null;
  "job.title": null;
  "job.begin": null;
  "job.field": { name: Gap };
  "job.stop": null;
  "job.note": null;
  "job.stopped": null;
  "job.count": { done: Gap; total: Gap };
  "job.left.few": null;
  "job.left.seconds": { n: Gap };
  "job.left.minutes": { count: number };
  "roles.builder": null;
  "roles.clerk": null;
  "roles.reader": null;
  "writing.title": null;
  "writing.aim": null;
  "writing.dates": null;
  "writing.zone": null;
  "writing.decimal": null;
  "writing.group": null;
  "writing.shown": null;
  "writing.shownNone": null;
  "writing.typed": null;
  "writing.typedNone": null;
  "writing.done": null;
  "writing.orders.dmy": null;
  "writing.orders.mdy": null;
  "writing.orders.ymd": null;
  "writing.decimals.point": null;
  "writing.decimals.comma": null;
  "writing.groups.comma": null;
  "writing.groups.point": null;
  "writing.groups.space": null;
  "outbox.title": null;
  "outbox.aim": null;
  "outbox.check": null;
  "outbox.empty": null;
  "outbox.to": { name: Gap };
  "outbox.open": null;
  "outbox.waiting": { count: number };
  "outbox.checked": { count: number };
  "keys.title": null;
  "keys.close": null;
  "keys.everywhere.name": null;
  "keys.everywhere.find": null;
  "keys.everywhere.list": null;
  "keys.everywhere.undo": null;
  "keys.everywhere.redo": null;
  "keys.everywhere.close": null;
  "keys.board.name": null;
  "keys.board.tacks": null;
  "keys.board.open": null;
  "keys.board.move": null;
  "keys.board.delete": null;
  "keys.board.add": null;
  "keys.board.save": null;
  "keys.records.name": null;
  "keys.records.cells": null;
  "keys.records.type": null;
  "keys.records.typeKeys": null;
  "keys.records.tab": null;
  "keys.records.giveUp": null;
  "keys.records.clear": null;
  "keys.records.copy": null;
  "keys.records.fill": null;
  "keys.records.find": null;
  "keys.records.undo": null;
  "keys.records.select": null;
  "keys.records.open": null;
  "keys.records.selectKeys": null;
  "keys.form.name": null;
  "keys.form.create": null;
  "keys.form.next": null;
  "keys.form.back": null;
  "keys.form.save": null;
  "keys.form.saveNext": null;
  "common.spaces": { count: number };
  "common.cancel": null;
  "common.close": null;
  "common.loading": null;
  "common.retry": null;
  "common.save": null;
}

export const messages: { [key: string]: string } = {
  "care.link": "Backups",
  "care.title": "Backups and checks",
  "care.aim": "Copies of the whole database: every table, record, rule and the change log.",
  "care.make": "Copy now",
  "care.made": "Copied, and looked at: it holds.",
  "care.none": "No copies yet.",
  "care.when": "Made",
  "care.why": "Why",
  "care.size": "Size",
  "care.get": "Download",
  "care.restore": "Put back",
  "care.drop": "Delete",
  "care.restoreTitle": "Put back the copy of %{when}?",
  "care.restoreText": "All tables, records, rules and the change log become what they were then. What is there now is copied first, and that copy stays for at least 30 days. Everybody is signed out, you too.",
  "care.dropTitle": "Delete the copy of %{when}?",
  "care.dropText": "It is gone for good.",
  "care.restored": "The backup is restored. What was there before is in %{name}. Sign in again.",
  "care.schedule": "By itself",
  "care.every": "Copy",
  "care.everies.never": "never",
  "care.everies.hour": "every hour",
  "care.everies.day": "every day",
  "care.everies.week": "every week",
  "care.hour": "at",
  "care.keep": "Keep the latest",
  "care.days": "for days",
  "care.save": "Save",
  "care.saved": "The schedule is kept.",
  "care.check": "Check everything",
  "care.checkAim": "Looks whether the file, the links, the change log, kept values and counters hold. Nothing is changed.",
  "care.sound": "holds",
  "care.broken": "does not hold",
  "care.megabytes": "%{number} MB",
  "tokens.title": "Tokens for scripts",
  "tokens.aim": "A script sends its token as “Authorization: Bearer …” and may do what the token's role may, as this person, until the token ends.",
  "tokens.name": "What it is for",
  "tokens.role": "Role",
  "tokens.ends": "Ends",
  "tokens.used": "Last used",
  "tokens.never": "never",
  "tokens.make": "Make a token",
  "tokens.revoke": "Revoke",
  "tokens.revoked": "The token “%{name}” no longer works.",
  "tokens.once": "Copy it now: it is shown this once and kept only as a digest.",
  "tokens.copy": "Copy",
  "tokens.copied": "Copied.",
  "tokens.over": "ended",
  "tokens.none": "No tokens yet.",
  "tokens.of": "of %{name}",
  "tokens.days": "Days until it ends",
  "docs.link": "HTTP API",
  "docs.title": "The HTTP API",
  "docs.aim": "Everything that the interface does goes through it.",
  "docs.document": "The OpenAPI document",
  "docs.search": "Find a call",
  "docs.query": "Path and query",
  "docs.body": "Body",
  "docs.answers": "Answers",
  "docs.required": "required",
  "docs.none": "No call is like that.",
  "docs.least.anyone": "for anyone",
  "docs.least.role": "for a %{role} or more",
  "board.aim": "Left to right is the order in which a record is worked out when someone saves it.",
  "board.field": "Field",
  "board.table": "Table settings",
  "board.settings": "Settings of %{table}",
  "board.tryRecord": "Try a record",
  "board.moves": "→ %{labels}",
  "board.addField": "Add a field",
  "board.addPlaceholder": "Add a field: type its name, then Enter",
  "board.typeOfNew": "Type of the new field",
  "board.pin": "Pin a rule on %{field}: %{stage}",
  "board.openField": "Field %{label}",
  "board.empty": "No rules yet. Point at a thread and pin the first one.",
  "board.moveHandle": "Drag to move %{label}",
  "board.moved": "%{label} is now in place %{place}",
  "board.shared": "on several fields",
  "board.open_one": "1 old record is still let be.",
  "board.open_other": "%{count} old records are still let be.",
  "board.openShort": "%{n} open",
  "board.ruleCount_one": "1 rule",
  "board.ruleCount_other": "%{count} rules",
  "board.deleted": "%{label} deleted",
  "board.undoHere": "Undo",
  "board.types.choicesNew": "First choice",
  "board.keys.arrows": "arrows",
  "board.keys.move": "move",
  "board.keys.open": "open or pin",
  "board.keys.moveField": "move a field",
  "board.keys.delete": "delete",
  "board.keys.undo": "undo",
  "fieldPanel.rekeyed": "Formulas call it %{key} now. Programs can still call it %{former}, until you drop that key in its panel.",
  "fieldPanel.formerKeys": "Former keys",
  "fieldPanel.formerKey": "Programs can still call it",
  "fieldPanel.dropKey": "Drop",
  "fieldPanel.dropFormerKey": "Drop the former key %{key}",
  "fieldPanel.title": "Field",
  "fieldPanel.label": "Name",
  "fieldPanel.type": "Type",
  "fieldPanel.decimals": "Decimals at most",
  "fieldPanel.anyDecimals": "any",
  "fieldPanel.note": "Note",
  "fieldPanel.notePlaceholder": "Why it is there, for whoever comes later",
  "fieldPanel.keyIs": "In formulas:",
  "fieldPanel.known": "People know a %{one} by this field",
  "fieldPanel.save": "Save field",
  "fieldPanel.remove": "Delete field",
  "fieldPanel.retypeLoses_one": "1 value can't be read in the new type and would be left blank: %{examples}. An undo brings them back.",
  "fieldPanel.retypeLoses_other": "%{count} values can't be read in the new type and would be left blank: %{examples}. An undo brings them back.",
  "fieldPanel.retypeKeeps": "All %{n} values can be kept.",
  "fieldPanel.removeTitle": "Delete %{label}?",
  "fieldPanel.removeValues_one": "1 record has a value in it.",
  "fieldPanel.removeValues_other": "%{count} records have a value in it.",
  "fieldPanel.removeRules": "These rules use it and go with it:",
  "fieldPanel.undoNote": "An undo brings everything back.",
  "link.target": "Links to",
  "link.pick": "Pick a table",
  "link.record": "linked record",
  "link.choices.refuse": "refuse it while a %{one} links there",
  "link.choices.clear": "leave the %{one}, without its link",
  "link.choices.delete": "delete the %{one} along with it",
  "link.details": "Bring a detail in",
  "link.detail": "Detail of the linked record",
  "link.how": "How it comes in",
  "link.live": "Live",
  "link.copied": "Copied",
  "link.liveMeans": "A read-only value that always is what the linked record holds.",
  "link.copiedMeans": "Copied when the link is chosen; afterwards it can be changed and does not follow.",
  "link.bring": "Add as a field",
  "link.brought": "%{label} is brought in",
  "link.onDelete": "When that %{one} is deleted",
  "link.reverse": "What a %{one} calls these records",
  "choices.title": "Choices",
  "choices.source": "Where the choices come from",
  "choices.own": "a list of its own",
  "choices.shared": "the list %{name}",
  "choices.retired": "retired",
  "choices.retiredOnes": "retired: %{names}",
  "choices.one": "Choice %{n}",
  "choices.add": "Add a choice",
  "choices.editLists": "Lists of the project",
  "choices.lists": "Lists of the project",
  "choices.noLists": "There is no list yet. A list can serve several fields, and is changed in one place.",
  "choices.newList": "New list",
  "choices.name": "Name of the list",
  "choices.drop": "Delete list",
  "choices.usedBy": "Used by %{fields}.",
  "choices.unknown": "%{field} has no choice called",
  "choices.addThese_one": "Add it to %{field}",
  "choices.addThese_other": "Add these %{count} to %{field}",
  "choices.addLost_one": "Add this 1 to the choices",
  "choices.addLost_other": "Add these %{count} to the choices",
  "choices.undo": "Undo",
  "choices.merge": "Merge into another choice",
  "choices.mergeInto": "Merge %{name} into …",
  "choices.becomes": "%{was} is merged into %{other}.",
  "choices.wasCalled": "Was called %{was}.",
  "choices.followTitle": "What changes with the names",
  "choices.followAction": "Rename",
  "choices.records_one": "1 record",
  "choices.records_other": "%{count, number} records",
  "choices.mergedNote": "merged: they can't be told apart again, except by an undo of this change",
  "choices.follows_one": "1 place follows:",
  "choices.follows_other": "%{count} places follow:",
  "choices.followsNone": "No rule, form, proof or kept view names them.",
  "choices.stays": "These texts name them too and stay as they are. Change them yourself where it is needed:",
  "format.title": "How it is shown",
  "format.ready": "Ready-made",
  "format.usual": "as usual",
  "format.ownPattern": "a pattern of one's own",
  "format.pattern": "Pattern (CLDR)",
  "format.group": "Thousands set apart",
  "format.before": "Sign before",
  "format.after": "Unit after",
  "format.turned": "Show the last line first",
  "format.yes": "Word for yes",
  "format.no": "Word for no",
  "format.blank": "Shown where it is blank",
  "format.shown": "Shown as",
  "calculation.keeping": "How it is kept",
  "calculation.kinds.always.name": "Always equal to the formula",
  "calculation.kinds.always.follows": "Kept with the record and read-only. Follows at once when anything it reads changes, on old records too.",
  "calculation.kinds.shown.name": "Shown only",
  "calculation.kinds.shown.follows": "Worked out whenever somebody looks. Never kept, and left out of exports unless asked for.",
  "calculation.kinds.once.name": "Worked out once",
  "calculation.kinds.once.follows": "When the record is made, or when what it reads is first there. After that a plain value that can be changed by hand.",
  "calculation.fleeting": "It reads %{what}, which changes by itself, so it is worked out whenever somebody looks. It can be sorted and filtered by all the same.",
  "calculation.onceEffect": "Records that exist stay as they are. This is what they would have been given:",
  "calculation.failed_one": "1 can't be worked out and would be blank.",
  "calculation.failed_other": "%{count} can't be worked out and would be blank.",
  "calculation.blank_one": "1 comes to blank.",
  "calculation.blank_other": "%{count} come to blank.",
  "calculation.wouldChange_zero": "None of the %{total} records would change.",
  "calculation.wouldChange_other": "%{count} of %{total} records would change.",
  "calculation.wouldShow_zero": "All %{total} records would show what they show now.",
  "calculation.wouldShow_other": "%{count} of %{total} records would show another value.",
  "fill.event": "When it acts",
  "fill.events.changed": "A field changes",
  "fill.events.reached": "A condition comes true",
  "fill.events.made": "A record is made",
  "fill.watch": "Fields that are watched",
  "fill.anyRead": "None is picked: it watches whatever its formulas read.",
  "fill.onlyThese": "It acts when one of these is another value than before.",
  "fill.reaches": "It acts when this comes true",
  "fill.onlyWhile": "Only while a condition holds",
  "fill.sets": "What it sets",
  "fill.to": "is set to",
  "fill.else": "else to",
  "fill.addElse": "Something else where the condition does not hold",
  "fill.add": "Set another field …",
  "fill.drop": "Do not set %{label}",
  "fill.blankHint": "A formula; write a text in quotes, and blank to clear the field.",
  "fill.onlyBlank": "Only fields that are blank",
  "fill.overrules": "Write over what was typed by hand too",
  "fill.hand": "What somebody types after the change stays; what was typed before it is written over.",
  "decision.inputs": "looks at",
  "decision.outputs": "sets",
  "decision.name": "Name of the table",
  "decision.namePlaceholder": "such as Firing programme",
  "decision.addInput": "Look at …",
  "decision.addOutput": "Set …",
  "decision.ownFormula": "a formula …",
  "decision.formulaOf": "Formula of this column",
  "decision.remove": "Take the column %{label} out",
  "decision.turn": "Move the column %{label} to the other side",
  "decision.pasteHere": "Paste a block from a spreadsheet here",
  "decision.addRow": "Add a row",
  "decision.row": "Row %{n}",
  "decision.rowUp": "Move row %{n} up",
  "decision.rowDown": "Move row %{n} down",
  "decision.rowRemove": "Take row %{n} out",
  "decision.cell": "Row %{row}, %{label}",
  "decision.hint": "Paste a block from a spreadsheet anywhere here. Empty: any value; a; b: one of them; > 5, 3..9 or 3..<9: numbers and dates; blank: no value. An empty cell of a field that is set clears it. The first row from the top that fits decides.",
  "decision.any": "any",
  "decision.cleared": "cleared",
  "decision.copy": "Copy",
  "decision.copied": "The table is on the clipboard; paste it into a spreadsheet.",
  "decision.notCopied": "The browser did not let the table be copied; take the CSV file instead.",
  "decision.exportCsv": "CSV file",
  "decision.importCsv": "From a CSV file",
  "decision.tooWide": "Not pasted: the block has %{has} columns and there is room for %{room} from here. Add columns first, or copy it with its head line.",
  "decision.pasted_one": "1 row pasted.",
  "decision.pasted_other": "%{count} rows pasted.",
  "decision.otherwise": "Where no row fits",
  "decision.ways.leave": "the fields are left as they are",
  "decision.ways.clear": "the fields are cleared",
  "decision.review": "The table as a whole",
  "decision.sound": "Every combination has a row, every row can decide, and no two contradict.",
  "decision.gaps": "No row covers",
  "decision.unreached": "Never reached",
  "decision.contradictions": "Contradict each other",
  "decision.both": "Rows %{one} and %{other}, where",
  "decision.upper": "row %{one} decides",
  "decision.stopped": "There are too many combinations to look at all; what was not looked at may have more.",
  "decision.tryIt": "Try it",
  "decision.columnsNeeded": "Pick what the table looks at and what it sets, or paste a block with its head line.",
  "decision.mistakes_one": "1 cell can't be read:",
  "decision.mistakes_other": "%{count} cells can't be read:",
  "state.state": "The field is",
  "state.states.shown": "Shown",
  "state.states.enabled": "Open",
  "state.states.required": "Required",
  "state.states.read_only": "Read-only",
  "state.means.shown": "It is on the form only while the condition holds.",
  "state.means.enabled": "It can be typed in only while the condition holds.",
  "state.means.required": "It must be filled while the condition holds, and may be blank otherwise.",
  "state.means.read_only": "It can't be changed while the condition holds, and can otherwise.",
  "state.while": "As long as",
  "state.otherwise": "Otherwise its value",
  "state.ways.keep": "is kept",
  "state.ways.clear": "is cleared",
  "state.enforced": "Hold to it on every way in, not on forms alone",
  "state.always": "A value that was cleared can't come back by another way in: it is refused there.",
  "state.stay": "They stay as they are until one of these fields is changed.",
  "state.effect_zero": "All of the %{total} records go with it.",
  "state.effect_other": "%{count} of %{total} records go against it as they are.",
  "notices.title": "Worth knowing",
  "notices.more": "Other cases",
  "fillEffect.fill": "Records that exist stay as they are. Were it to act on them now, %{differs} would get another value and %{same} have it already.",
  "fillEffect.none_one": "In 1 of them its condition does not hold.",
  "fillEffect.none_other": "In %{count} of them its condition does not hold.",
  "fillEffect.noRow_one": "No row fits 1 of them.",
  "fillEffect.noRow_other": "No row fits %{count} of them.",
  "forms.pick": "Forms of this table",
  "forms.design": "Change this form",
  "forms.make": "New form",
  "forms.open": "open",
  "forms.nothingLinked": "Shows once %{label} is picked.",
  "forms.gone": "This form is no longer there; all fields are shown.",
  "lines.empty": "No lines yet.",
  "lines.add": "Add a line",
  "lines.remove": "Take line %{n} away",
  "lines.back": "Bring line %{n} back",
  "lines.cell": "Line %{n}, %{label}",
  "designer.title": "%{name} · %{table}",
  "designer.builders": "Builders design forms.",
  "designer.back": "Forms",
  "designer.usualName": "%{one} form",
  "designer.save": "Save form",
  "designer.saved": "Form saved: %{name}",
  "designer.remove": "Delete form",
  "designer.removed": "Form deleted: %{name}. Ctrl Z brings it back.",
  "designer.startOver": "Back to what is saved",
  "designer.live": "Live",
  "designer.liveAim": "Type into it: nothing here touches your records. Enter and Tab go where the form says.",
  "designer.linesHere": "Here stand the lines: %{label}, %{fields} fields each.",
  "designer.name": "Name",
  "designer.note": "Note",
  "designer.notePlaceholder": "for whom, and when",
  "designer.cursor": "Cursor and buttons",
  "designer.skipFilled": "Pass over what rules have filled",
  "designer.ownOrder": "Another order than that of the layout",
  "designer.earlier": "%{label} earlier",
  "designer.later": "%{label} later",
  "designer.jumps": "Jumps",
  "designer.after": "after",
  "designer.to": "to",
  "designer.firstBlank": "the first blank field",
  "designer.end": "the end of the form",
  "designer.jumpWhile": "only while a condition holds",
  "designer.addJump": "Add a jump",
  "designer.dropJump": "Take the jump out",
  "designer.buttons": "Buttons",
  "designer.buttonNames.copy": "Copy",
  "designer.buttonNames.next": "New record",
  "designer.buttonNames.save_next": "Save and next",
  "designer.section": "Section %{n}",
  "designer.sectionTitle": "Title of section %{n}",
  "designer.noTitle": "no title",
  "designer.columns": "Columns",
  "designer.columnCount_one": "1 column",
  "designer.columnCount_other": "%{count} columns",
  "designer.addSection": "Add a section",
  "designer.dropSection": "Take section %{n} out; its fields go to the one before",
  "designer.add": "Add to this section …",
  "designer.fields": "Fields",
  "designer.details": "Details of a linked record, to read",
  "designer.lines": "Records that link here, as lines",
  "designer.linesOf": "Lines: %{table}",
  "designer.detailsOf": "Details of %{label}",
  "designer.width": "Width of %{label}",
  "designer.drop": "Take %{label} off the form",
  "designer.ruleCount_one": "1 rule",
  "designer.ruleCount_other": "%{count} rules",
  "designer.carries": "carried over",
  "designer.begins": "begins",
  "designer.label": "Label",
  "designer.ownLabel": "as the table calls it",
  "designer.hint": "Hint",
  "designer.carry": "Take it over from the record typed before on this form",
  "designer.default": "Begin it here with",
  "designer.states": "How it stands",
  "designer.while": "as long as",
  "designer.addState": "Shown, open, required or read-only while …",
  "designer.dropState": "Take the statement out",
  "designer.tableRules": "Rules of the table hold here too",
  "designer.innerFields": "Fields to show",
  "designer.movedTo": "%{label}: section %{section}, place %{place}",
  "designer.widths.full": "full",
  "designer.widths.part": "%{n} of %{of}",
  "designer.keys.move": "move",
  "designer.keys.width": "width",
  "designer.keys.remove": "take off",
  "map.title": "Map",
  "map.rule": "Rule",
  "map.stages.default": "Default",
  "map.stages.mask": "Mask",
  "map.stages.tidy": "Tidy",
  "map.stages.fill": "Fill",
  "map.stages.calculate": "Calculate",
  "map.stages.number": "Number",
  "map.stages.validate": "Validate",
  "map.stages.log": "Log",
  "map.aim": "Left to right in the order of evaluation. Pick a field or a rule: what feeds it, and what follows from it.",
  "map.withChecks": "Every rule",
  "map.list": "As a list",
  "map.graph": "As a picture",
  "map.find": "Find a field or rule",
  "map.feeds": "What feeds it",
  "map.follows": "What follows from it",
  "map.writes": "What writes it",
  "map.checks": "What checks it",
  "map.reads": "Reads",
  "map.sets": "Sets",
  "map.byHand": "People type it; no rule writes it.",
  "map.openRule": "Open the rule",
  "map.openField": "Open the field",
  "map.onMap": "Show on the map",
  "map.clear": "Show all of it",
  "map.before": "the value before the save",
  "map.place": "acts as number %{n}",
  "map.empty": "There is nothing to draw yet: pin a rule first.",
  "sheet.title": "Rule sheet · %{project}",
  "sheet.aim": "What each field is, and what happens to it, in plain sentences.",
  "sheet.print": "Print",
  "sheet.name": "Rule sheet",
  "sheet.markdown": "As Markdown",
  "sheet.shown.state": "%{state}, %{seen} of %{of} seen",
  "sheet.shown.more": "%{n} more",
  "writers.title": "What writes %{label} of %{table}?",
  "writers.key": "F8",
  "writers.none": "Point at a field, or put the cursor into one, then press F8.",
  "formula.before": "before:",
  "formula.outside": "outside:",
  "pieces.wayOfWriting": "Way of writing",
  "pieces.typed": "Typed",
  "pieces.together": "From pieces",
  "pieces.cannotShow": "Pieces can't show this formula; it goes on as it is typed.",
  "pieces.shape": "What it makes",
  "pieces.shapes.text": "A joined text",
  "pieces.shapes.choice": "One text or another",
  "pieces.shapes.condition": "A condition",
  "pieces.textName": "Joined in this order",
  "pieces.ifName": "If",
  "pieces.thenName": "then",
  "pieces.elseName": "otherwise",
  "pieces.conditionName": "These must hold",
  "pieces.nothing": "Nothing: it comes to blank.",
  "pieces.addField": "Field",
  "pieces.addText": "Fixed text",
  "pieces.addTest": "Test",
  "pieces.field": "Field",
  "pieces.text": "Fixed text",
  "pieces.pickField": "Pick a field",
  "pieces.person": "Person signed in",
  "pieces.whenFilled": "only when filled",
  "pieces.before": "before it",
  "pieces.after": "after it",
  "pieces.earlier": "Move to the left",
  "pieces.later": "Move to the right",
  "pieces.remove": "Take out",
  "pieces.match": "Of these",
  "pieces.all": "all must hold",
  "pieces.any": "any may hold",
  "pieces.relation": "Relation",
  "pieces.value": "Value",
  "pieces.way": "Compare with",
  "pieces.ways.value": "a value",
  "pieces.ways.field": "a field",
  "pieces.ways.today": "today",
  "pieces.ways.now": "now",
  "pieces.spaces_one": "a space",
  "pieces.spaces_other": "%{count} spaces",
  "pieces.listHint": "one; another; …",
  "pieces.dayRelations.<": "is before",
  "pieces.dayRelations.<=": "is on or before",
  "pieces.dayRelations.>": "is after",
  "pieces.dayRelations.>=": "is on or after",
  "pieces.relations.=": "is",
  "pieces.relations.<>": "is not",
  "pieces.relations.<": "is less than",
  "pieces.relations.<=": "is at most",
  "pieces.relations.>": "is more than",
  "pieces.relations.>=": "is at least",
  "pieces.relations.in": "is one of",
  "pieces.relations.not in": "is none of",
  "filter.open": "Filter",
  "filter.show": "Show records where",
  "filter.clear": "Show all",
  "filter.keep": "Keep",
  "filter.searched": "Shows records in which “%{text}” stands anywhere.",
  "filter.searchAim": "Type a condition, or any word to look for it in all texts.",
  "language.title": "The formula language",
  "language.link": "All signs and functions",
  "language.aim": "Fields by their keys, signs as in a sum, words as in a sentence. Blank in a sum or a comparison gives blank; text compares without regard to capitals.",
  "language.signs": "Signs and words",
  "language.lines.fields": "fields by key; type any part of the name and pick",
  "language.lines.links": "along a link, to a field of the linked record",
  "language.lines.old": "the value before this save; whether it differs; whether the record is new",
  "language.lines.user": "the person signed in",
  "language.lines.literals": "fixed values; a quote inside a text is written twice",
  "language.lines.sums": "sums with exact decimals; dates move by days, and the difference of two dates is days",
  "language.lines.join": "joins as text; blank joins as nothing",
  "language.lines.comparisons": "comparisons; also: between a and b, in (a, b), contains, starts with, ends with, is blank, is not blank, fits \"mask\"",
  "language.lines.conditions": "conditions; a condition that comes to blank counts as not met",
  "language.lines.if": "one or another",
  "language.lines.totals": "one value from the records that link here; this.x is the record outside",
  "language.lines.remark": "to the end of the line",
  "grid.open": "Open %{title}",
  "grid.pick": "Pick record %{n}",
  "grid.pickAll": "Pick all",
  "grid.newRow": "new",
  "grid.columns": "Columns",
  "grid.columnsAim": "Drag to reorder. A held column stays in sight.",
  "grid.hold": "Hold %{label} in sight",
  "grid.release": "Let %{label} scroll",
  "grid.showColumn": "Show %{label}",
  "grid.moveColumn": "Move %{label}",
  "grid.usual": "As usual",
  "grid.width": "Width of %{label}",
  "grid.sortBy": "Sort by %{label}; with Shift, after the others",
  "grid.sorted": "sorted, place %{place}",
  "grid.total": "Total of %{label}",
  "grid.totals.filled": "filled",
  "grid.totals.blank": "blank",
  "grid.totals.sum": "sum",
  "grid.totals.average": "average",
  "grid.totals.least": "least",
  "grid.totals.greatest": "greatest",
  "grid.noTotal": "no total",
  "grid.hint": "Type, or F2 · Tab to the next cell · Ctrl D fills down · Ctrl F finds · Ctrl Z undoes · F8 what writes this",
  "grid.keepView": "Keep this view",
  "grid.viewName": "Name of the view",
  "grid.kept": "View kept: %{name}",
  "grid.dropView": "Take the view %{name} away",
  "grid.byRule": "by a rule",
  "grid.why": "Why is this blank?",
  "grid.whyNot": "Nothing here says why; it was not filled.",
  "grid.copied_one": "1 cell copied.",
  "grid.copied_other": "%{count, number} cells copied.",
  "grid.tooMuch": "Up to 5,000 rows can be copied, pasted or cleared at once; for more, export and import.",
  "grid.emptyRow": "Type a new record here",
  "grid.nothingChanged": "Nothing changed: the cells have these values already.",
  "grid.nothingTyped": "Nothing was typed, so no record was made.",
  "grid.gaveUp": "The row is as it was saved.",
  "grid.find": "Find in all records",
  "grid.findOn": "Next (Enter)",
  "grid.findBack": "Previous (Shift Enter)",
  "grid.findClose": "Close (Esc)",
  "grid.findAim": "Enter goes to the next one, Shift Enter back.",
  "grid.found_one": "1 record",
  "grid.found_other": "Record %{n, number} of %{count, number}",
  "grid.foundNone": "“%{text}” stands in no record of this view.",
  "grid.nothingToRedo": "Nothing was undone that could be done again.",
  "grid.waitingPlace": "%{n, number} of %{of, number}",
  "grid.waitingNext": "Next",
  "grid.waitingBefore": "Previous",
  "grid.waitingShow": "Show it",
  "grid.nothingToUndo": "Nothing was changed here that could be taken back.",
  "grid.pasting": "Pasting…",
  "grid.waiting_one": "1 row waits to be mended",
  "grid.waiting_other": "%{count, number} rows wait to be mended",
  "grid.waitingAim": "What was refused is kept here until it is mended or left out.",
  "grid.retry": "Try all again",
  "grid.leaveAllOut": "Leave all out",
  "grid.rows_one": "%{count, number} row",
  "grid.rows_other": "%{count, number} rows",
  "grid.columnCount_one": "%{count, number} column",
  "grid.columnCount_other": "%{count, number} columns",
  "grid.ofMany": "%{rows} × %{columns}",
  "grid.redone": "%{n, number} redone.",
  "grid.redoneSome": "%{n, number} redone; %{left, number} couldn't be redone (changed since).",
  "grid.undone": "%{n, number} undone.",
  "grid.undoneSome": "%{n, number} undone; %{left, number} couldn't be undone (changed since).",
  "grid.pasted.saved_one": "1 record saved",
  "grid.pasted.saved_other": "%{count, number} records saved",
  "grid.pasted.refused_one": "1 needs fixing",
  "grid.pasted.refused_other": "%{count, number} need fixing",
  "grid.pasted.skipped_one": "1 read-only cell skipped",
  "grid.pasted.skipped_other": "%{count, number} read-only cells skipped",
  "bulk.picked_one": "1 picked",
  "bulk.picked_other": "%{count, number} picked",
  "bulk.allOf": "Pick all %{n, number} that match",
  "bulk.unpick": "Unpick",
  "bulk.change": "Change a field",
  "bulk.copy": "Copy",
  "bulk.number": "Give numbers",
  "bulk.tidy": "Tidy",
  "bulk.delete": "Delete",
  "bulk.titles.change_one": "Change 1 record of %{table}",
  "bulk.titles.change_other": "Change %{count, number} records of %{table}",
  "bulk.titles.copy_one": "Copy 1 record of %{table}",
  "bulk.titles.copy_other": "Copy %{count, number} records of %{table}",
  "bulk.titles.number_one": "Assign a number to 1 record of %{table}",
  "bulk.titles.number_other": "Assign numbers to %{count, number} records of %{table}",
  "bulk.titles.tidy_one": "Clean up 1 record of %{table}",
  "bulk.titles.tidy_other": "Clean up %{count, number} records of %{table}",
  "bulk.titles.delete_one": "Delete 1 record of %{table}",
  "bulk.titles.delete_other": "Delete %{count, number} records of %{table}",
  "bulk.field": "Field",
  "bulk.becomes": "becomes",
  "bulk.blank": "Empty makes it blank.",
  "bulk.looking": "Trying it on each record…",
  "bulk.refusedBy": "Refused",
  "bulk.noRule": "as it can't be read, or the record is gone",
  "bulk.what": "What the rules would make of them",
  "bulk.oneEntry": "All of it is one entry in History and can be taken back as one.",
  "bulk.nothing": "There is nothing to do.",
  "bulk.done_one": "Done: 1 record.",
  "bulk.done_other": "Done: %{count, number} records.",
  "bulk.takeBack": "Take back",
  "bulk.more": "and %{n, number} more",
  "bulk.would.delete": "%{saved, number} will be deleted.",
  "bulk.would.deleteSome": "%{saved, number} will be deleted, %{refused, number} can't be deleted.",
  "bulk.would.copy_one": "1 copy will be created.",
  "bulk.would.copy_other": "%{count, number} copies will be created.",
  "bulk.would.copySome_one": "1 copy will be created, %{refused, number} will be refused.",
  "bulk.would.copySome_other": "%{count, number} copies will be created, %{refused, number} will be refused.",
  "bulk.would.change_one": "%{saved, number} will change, 1 already has this value, %{refused, number} will be refused.",
  "bulk.would.change_other": "%{saved, number} will change, %{count, number} already have this value, %{refused, number} will be refused.",
  "bulk.go.change_one": "Change 1 record",
  "bulk.go.change_other": "Change %{count, number} records",
  "bulk.go.copy_one": "Copy 1 record",
  "bulk.go.copy_other": "Copy %{count, number} records",
  "bulk.go.number_one": "Assign 1 number",
  "bulk.go.number_other": "Assign %{count, number} numbers",
  "bulk.go.tidy_one": "Clean up 1 record",
  "bulk.go.tidy_other": "Clean up %{count, number} records",
  "bulk.go.delete_one": "Delete 1 record",
  "bulk.go.delete_other": "Delete %{count, number} records",
  "bulk.goPassing.change_one": "Change the 1 that passes",
  "bulk.goPassing.change_other": "Change the %{count, number} that pass",
  "bulk.goPassing.copy_one": "Copy the 1 that passes",
  "bulk.goPassing.copy_other": "Copy the %{count, number} that pass",
  "bulk.goPassing.number_one": "Number the 1 that passes",
  "bulk.goPassing.number_other": "Number the %{count, number} that pass",
  "bulk.goPassing.tidy_one": "Clean up the 1 that passes",
  "bulk.goPassing.tidy_other": "Clean up the %{count, number} that pass",
  "bulk.goPassing.delete_one": "Delete the 1 that can be deleted",
  "bulk.goPassing.delete_other": "Delete the %{count, number} that can be deleted",
  "imports.link": "Import",
  "imports.title": "Bring records into %{table}",
  "imports.newTitle": "A new table from a file",
  "imports.newLink": "Table from a file",
  "imports.aim": "Nothing is saved before you have seen what the rules make of it.",
  "imports.drop": "Drop a file here",
  "imports.or": "or pick one",
  "imports.formats": "CSV, XLSX, ODS, JSON or JSON Lines, of any size up to 1 GB",
  "imports.sending": "Bringing it in: %{percent} %",
  "imports.another": "Another file",
  "imports.encoding": "written in %{name}",
  "imports.divided.,": "divided by commas",
  "imports.divided.;": "divided by semicolons",
  "imports.divided.\t": "divided by tabs",
  "imports.divided.|": "divided by bars",
  "imports.sheet": "Sheet",
  "imports.column": "Column of the file",
  "imports.shows": "What it shows",
  "imports.field": "Field",
  "imports.leftOut": "left out",
  "imports.readAs": "Read as",
  "imports.orders.dmy": "day, month, year",
  "imports.orders.mdy": "month, day, year",
  "imports.orders.ymd": "year, month, day",
  "imports.marks..": "1,234.56",
  "imports.marks.,": "1.234,56",
  "imports.match": "Records that are there",
  "imports.matchNone": "Every row is a new record",
  "imports.matchBy": "Rows with a known %{label} change that record",
  "imports.blanks": "Blank cells",
  "imports.blanksLeft": "are left to the rules, and to what is there",
  "imports.blanksKept": "stay blank",
  "imports.tryIt": "Try it on the rules",
  "imports.tryAgain": "Try it again",
  "imports.would": "Nothing has been saved yet. It would be:",
  "imports.was": "Saved. It was:",
  "imports.row": "row %{n, number}",
  "imports.byRule": "Refused by",
  "imports.unreadable": "a value that can't be read, or a link that finds none or several",
  "imports.rows": "Rows that are refused",
  "imports.saveAll_one": "Save it",
  "imports.saveAll_other": "Save all %{count, number}",
  "imports.savePassing_one": "Save the 1 that passes",
  "imports.savePassing_other": "Save the %{count, number} that pass",
  "imports.getRefused": "The refused rows as a file",
  "imports.mend": "Mend them there and bring the file in again; the column “Up Tack says” is passed over.",
  "imports.oneEntry": "All of it is one entry in History and can be taken back as one.",
  "imports.takeBack": "Take it all back",
  "imports.toRecords": "To the records",
  "imports.done_one": "1 record saved.",
  "imports.done_other": "%{count, number} records saved.",
  "imports.tableName": "Name of the table",
  "imports.type": "Type",
  "imports.rules": "Rules that all its values keep to",
  "imports.noRules": "none seen",
  "imports.make": "Make the table",
  "imports.makeNote": "Fields and rules can be changed at any time. The records come in next.",
  "imports.told.file": "%{format}, %{rows}",
  "imports.told.rows_one": "1 row",
  "imports.told.rows_other": "%{count, number} rows",
  "imports.told.about_one": "about 1 row",
  "imports.told.about_other": "about %{count, number} rows",
  "imports.filled.always": "always filled",
  "imports.filled.some": "%{blank, number} of %{all, number} blank",
  "imports.tried.new": "%{n, number} new",
  "imports.tried.changed": "%{n, number} changed",
  "imports.tried.unchanged": "%{n, number} unchanged",
  "imports.tried.refused": "%{n, number} refused",
  "imports.tried.nothing": "nothing to do",
  "imports.samples_zero": "What the rules make of them",
  "imports.samples_other": "What the rules make of the others",
  "exports.link": "Export",
  "exports.formats.csv": "CSV",
  "exports.formats.xlsx": "XLSX",
  "exports.formats.json": "JSON",
  "exports.formats.jsonl": "JSON Lines",
  "exports.schema": "What a record looks like, as JSON Schema",
  "exports.note": "Texts that a spreadsheet would take for formulas get a ' before them; it goes again when the file comes back.",
  "exports.all": "All tables with their records",
  "exports.allAim": "For other programs. The rules go along as far as each format can say them.",
  "exports.sql": "SQL",
  "exports.sqlite": "SQLite file",
  "exports.package": "Data package",
  "exports.shown": "What the grid shows: %{records}, %{columns}",
  "exports.whole": "The whole table: %{records}, %{columns}",
  "exports.records_one": "1 record",
  "exports.records_other": "%{count, number} records",
  "exports.columns_one": "1 column",
  "exports.columns_other": "%{count, number} columns",
  "numbering.formula": "The number is",
  "numbering.formulaHint": "counter(5) stands for the count with five digits, as in \"PC-\" & counter(5).",
  "numbering.start": "Counts from",
  "numbering.step": "In steps of",
  "numbering.series": "Count anew for each value of",
  "numbering.byHand": "People may type another number instead",
  "numbering.follow": "Write a number anew when what it is made of changes",
  "numbering.counts": "Where the count stands",
  "numbering.one": "All records",
  "numbering.next": "next",
  "numbering.highest": "%{n} was the highest so far;",
  "numbering.set": "Set",
  "numbering.waiting_one": "1 record has no number",
  "numbering.waiting_other": "%{count, number} records have no number",
  "numbering.order": "In the order of",
  "numbering.asMade": "being made",
  "numbering.descending": "the last first",
  "numbering.andMore": "and %{n, number} more",
  "numbering.give_one": "Give it its number",
  "numbering.give_other": "Give all %{count, number} their numbers",
  "numbering.given_one": "1 number given.",
  "numbering.given_other": "%{count, number} numbers given.",
  "numbering.left__one": "1 record is refused by another rule.",
  "numbering.left__other": "%{count} records are refused by other rules.",
  "numbering.opening": "An empty new record would be given",
  "numbering.pending": "next",
  "numbering.left": "%{n, number} left at this length",
  "numbering.past": "longer than its padding now",
  "numbering.effect_zero": "Every record has its number.",
  "numbering.effect_one": "1 record has no number; it keeps none until you give it one.",
  "numbering.effect_other": "%{count, number} records have no number; they keep none until you give them theirs.",
  "logging.event": "Event",
  "logging.events.madeOn": "Made on",
  "logging.events.madeBy": "Made by",
  "logging.events.changedOn": "Last changed on",
  "logging.events.changedBy": "Last changed by",
  "logging.events.reached": "A condition comes true",
  "logging.events.ticked": "A tick",
  "logging.events.changed": "A field changes",
  "logging.which": "Which time",
  "logging.first": "The first time",
  "logging.last": "The last time",
  "logging.clears": "Blank again when the condition ends",
  "logging.when": "When this comes true",
  "logging.watch": "Watched fields",
  "logging.anyField": "None picked: any field counts. What this stage writes itself never does.",
  "logging.onlyThese": "Only these count.",
  "logging.stampHint": "Written by the save in which it happens, on every way in; nobody types it.",
  "logging.tallyHint": "Counts the saves after the first. Stamps and tallies never count themselves.",
  "logging.tick": "Yes/no field that is ticked",
  "logging.pickTick": "Pick a yes/no field",
  "logging.says": "The line says",
  "logging.pattern": "Before it, the moment as",
  "logging.patternHint": "d MMM yyyy, HH:mm is 23 Nov 2026, 09:30. Empty for none.",
  "logging.lineHint": "Lines are added below one another and never changed. The field's reading format can show the last one first.",
  "logging.unknown": "%{n, number} stay blank: the log does not know.",
  "logging.lines": "Lines are written from now on; records that exist stay as they are.",
  "logging.all": "every field",
  "logging.only": "only the ticked",
  "logging.all_but": "all but the ticked",
  "logging.watched": "Which fields are logged",
  "logging.watchHint": "Each save is one entry in any case. Old and new values are kept of the fields that are watched.",
  "logging.filled_zero": "The change log fills it on none of the %{total} records.",
  "logging.filled_other": "Filled from the change log on %{count} of %{total} records, where it is blank.",
  "signIn.title": "Sign in",
  "signIn.aim": "Sign in to type records, or to see to the rules.",
  "signIn.name": "Sign-in name",
  "signIn.password": "Password",
  "signIn.submit": "Sign in",
  "signIn.demo": "Look around as",
  "signIn.demoAim": "This is the demo: one click, no password.",
  "signIn.does.builder": "designs everything",
  "signIn.does.clerk": "types records",
  "signIn.does.reader": "looks",
  "signIn.setUp": "Begin",
  "signIn.setUpAim": "Nobody is here yet. Name the project and its first builder; others can be added afterwards.",
  "signIn.firstBuilder": "The project and its first builder",
  "signIn.project": "Name of the project",
  "signIn.zone": "Time zone of the firm",
  "signIn.begin": "Begin",
  "people.title": "People",
  "people.aim": "Who works here, and what they may do.",
  "people.add": "Add a person",
  "people.name": "Display name",
  "people.signIn": "Sign-in name",
  "people.email": "E-mail",
  "people.role": "Role",
  "people.state": "State",
  "people.change": "Change",
  "people.changeOf": "Change %{name}",
  "people.roles.builder": "Builder",
  "people.roles.clerk": "Clerk",
  "people.roles.reader": "Reader",
  "people.does.builder": "designs tables, rules and forms, and does all the rest",
  "people.does.clerk": "fills in, edits and deletes where it is allowed, reviews suggestions",
  "people.does.reader": "looks at records and their history",
  "people.active": "active",
  "people.inactive": "inactive, can't sign in",
  "people.noPassword": "active, no password yet",
  "people.maySignIn": "Active: may sign in",
  "people.setPassword": "Set a password",
  "people.leaveBlank": "Leave it blank to keep the one there is.",
  "people.passwordHint": "At least 10 characters; a few words in a row are easy to keep in mind.",
  "people.kept": "%{name} saved",
  "people.note": "People are never deleted, since the change log names them. Whoever is made inactive is signed out at once.",
  "people.ownPassword": "My password",
  "people.oldPassword": "The old one",
  "people.newPassword": "The new one",
  "people.changePassword": "Change it",
  "people.passwordChanged": "Your password is changed. Other browsers are signed out.",
  "people.signOut": "Sign out",
  "people.signOutAsk": "Sign out and delete what is not saved?",
  "people.signOutDo": "Delete it and sign out",
  "people.signOutLoses_one": "1 thing that you typed in this browser is not saved. Save first what you want to keep.",
  "people.signOutLoses_other": "%{count} things that you typed in this browser are not saved. Save first what you want to keep.",
  "people.signedInAs": "Signed in as",
  "access.title": "Who may",
  "access.table": "What people may do with this table",
  "access.field": "What people may do with this field",
  "access.builders": "Builders may do everything.",
  "access.usual": "as usual",
  "access.tableLevels.nothing": "not see it",
  "access.tableLevels.see": "see it",
  "access.tableLevels.edit": "see and edit, not delete",
  "access.tableLevels.delete": "see, edit and delete",
  "access.fieldLevels.nothing": "not see it",
  "access.fieldLevels.see": "see it",
  "access.fieldLevels.edit": "see and edit it",
  "access.readOnlyTable": "You are signed in as a %{role}: you may look at these records, not change them.",
  "access.readOnlyBoard": "You may look at the rules; builders change them.",
  "project.name": "Project file",
  "project.title": "The design as a file",
  "project.aim": "All tables, fields, rules, forms, lists and proofs, and people with their roles, as one readable text. No records and no passwords are in it.",
  "project.out": "Take it out",
  "project.in": "Bring one in …",
  "project.of": "What %{name} would do here",
  "project.refused_one": "Nothing was brought in: one thing is wrong.",
  "project.refused_other": "Nothing was brought in: %{count} things are wrong.",
  "project.same": "Nothing would become different: everything in it is here already.",
  "project.counts_one": "It would add %{count} thing and change %{changed}. Nothing is taken away; the firm's time zone and ways of writing stay. One undo takes all of it back.",
  "project.counts_other": "It would add %{count} things and change %{changed}. Nothing is taken away; the firm's time zone and ways of writing stay. One undo takes all of it back.",
  "project.loses_one": "%{count} value of %{field} can't be kept in the new type.",
  "project.loses_other": "%{count} values of %{field} can't be kept in the new type.",
  "project.people": "New people, who can sign in once they are given a password: %{names}.",
  "project.changes": "changes",
  "project.adds": "adds",
  "project.bringIn": "Bring it in",
  "project.done": "Brought in: %{name}",
  "bench.setup": "How it is tried",
  "bench.aim": "Nothing here touches your real records.",
  "bench.begin": "Begin with",
  "bench.newRecord": "a new record",
  "bench.copyOf": "a copy of",
  "bench.realOne": "a real one, as it stands",
  "bench.ownOne": "one of its own records",
  "bench.whichRecord": "Which record",
  "bench.form": "Form",
  "bench.noForm": "fields alone",
  "bench.person": "As",
  "bench.starts.copy": "a copy",
  "bench.starts.real": "a record as it stands",
  "bench.as": "as %{name}",
  "bench.nobody": "Nobody",
  "bench.clock": "Day and hour",
  "bench.realClock": "now",
  "bench.pretend": "pretend",
  "bench.backToNow": "back to now",
  "bench.manner": "Typed",
  "bench.oneByOne": "one after the other",
  "bench.atOnce": "all at once",
  "bench.trial": "Trial record",
  "bench.refusals_one": "1 thing refuses this record. Everything typed is still here.",
  "bench.refusals_other": "%{count} things refuse this record. Everything typed is still here.",
  "bench.keep": "Keep as a proof",
  "bench.trace": "Step by step",
  "bench.typedStage": "Typed",
  "bench.nothingHere": "nothing to do",
  "bench.nothingWritten": "nothing is written, because the record is refused",
  "bench.clear": "Start over",
  "bench.passed": "passes",
  "bench.skipped": "passed over",
  "bench.blank": "blank",
  "bench.rule": "Open the rule",
  "bench.unfold": "unfold the formula",
  "bench.whyShort": "why?",
  "bench.why": "Why does %{field} hold this?",
  "bench.whyBlank": "Why is %{field} blank?",
  "bench.acts": "What was done",
  "bench.typedCount": "%{n} typed",
  "bench.takeBack": "Take back",
  "bench.save": "Save",
  "bench.copy": "Copy",
  "bench.remove": "Delete",
  "bench.putBack": "Put back",
  "bench.another": "Another %{one}",
  "bench.leaveOpen": "Leave open …",
  "bench.leaveOpenHint": "The form stays open while the clock goes on.",
  "bench.days": "Days",
  "bench.hours": "Hours",
  "bench.wait": "Wait",
  "bench.outcome.wouldBeRefused": "Would be refused",
  "bench.outcome.refused": "Refused",
  "bench.outcome.deleted": "Deleted",
  "bench.outcome.back": "Back again",
  "bench.outcome.wouldBeSaved": "Would be saved",
  "bench.outcome.saved": "Saved",
  "bench.changes.would_zero": "Nothing would be logged.",
  "bench.changes.would_one": "1 value would be logged.",
  "bench.changes.would_other": "%{count} values would be logged.",
  "bench.changes.did_zero": "Nothing was logged.",
  "bench.changes.did_one": "1 value was logged.",
  "bench.changes.did_other": "%{count} values were logged.",
  "bench.did.refused": "refused",
  "bench.did.saved": "saved",
  "bench.did.notDeleted": "not deleted",
  "bench.did.deleted": "deleted",
  "bench.did.notRestored": "not put back",
  "bench.did.restored": "put back",
  "bench.did.days_one": "1 day",
  "bench.did.days_other": "%{count} days",
  "bench.did.hours": "%{n} h",
  "bench.did.later": "%{span} later",
  "bench.did.as": "as %{name}",
  "bench.did.another": "another",
  "bench.did.copied": "copied",
  "proofs.title": "Proofs",
  "proofs.states.proven": "proven",
  "proofs.states.partly": "partly proven",
  "proofs.states.untried": "not tried",
  "proofs.states.broken": "broken",
  "proofs.states.passed": "came out as it must",
  "proofs.states.unfit": "can't be run any more",
  "proofs.states.waiting": "waits for its turn",
  "proofs.running": "%{done} of %{of} run",
  "proofs.runAll": "Run all",
  "proofs.empty": "No proof is kept here yet. Try a record, then keep it with what must come out.",
  "proofs.suggest": "Suggest records at the edges",
  "proofs.missingTitle": "What no proof shows yet in %{table}",
  "proofs.allSeen": "Everything that the rules of this table can do is shown by a proof.",
  "proofs.make": "Make the record",
  "proofs.seenOf": "%{n} of %{of} seen",
  "proofs.differs": "expected that %{expected}; %{actual}",
  "proofs.but": "but %{actual}",
  "proofs.expects": "What must come out",
  "proofs.firstStep": "First step that differs from the last good run, %{stage} of %{field}:",
  "proofs.noStep": "no such step",
  "proofs.change": "Change",
  "proofs.drop": "Take away",
  "proofs.dropped": "Taken away: %{name}",
  "proofs.putAside": "Put aside",
  "proofs.keepTitle": "Keep as a proof",
  "proofs.changeTitle": "Change the proof",
  "proofs.name": "What it shows",
  "proofs.namePlaceholder": "such as: a limit is refused just above",
  "proofs.group": "Group",
  "proofs.groupPlaceholder": "none",
  "proofs.note": "Note",
  "proofs.notePlaceholder": "For whoever reads this in a year",
  "proofs.must": "What must come out",
  "proofs.nothingExpected": "Nothing yet. Say at least one thing.",
  "proofs.expectMore": "Expect something more",
  "proofs.alsoSeen_one": "%{count} more that was seen",
  "proofs.alsoSeen_other": "%{count} more that were seen",
  "proofs.bringsHint": "It runs with these records alone, so that it comes to the same whatever becomes of the real ones. Links are told by number.",
  "proofs.bringMore": "Bring another record …",
  "proofs.leaveOut": "Leave %{name} out",
  "proofs.fillMore": "Fill another field of %{name}",
  "proofs.fillOther": "another field …",
  "proofs.atEnd": "in the end",
  "proofs.afterAct": "after act %{n}",
  "proofs.when": "When",
  "proofs.keepIt": "Keep it",
  "proofs.saveChange": "Save the change",
  "proofs.kept": "Kept: %{name}",
  "proofs.expectation.what": "What",
  "proofs.expectation.field": "Field",
  "proofs.expectation.is": "Is",
  "proofs.expectation.before": "Before",
  "proofs.expectation.after": "After",
  "proofs.expectation.fits": "Mask",
  "proofs.expectation.from": "From",
  "proofs.expectation.to": "To",
  "proofs.expectation.end": "the end",
  "proofs.expectation.by": "By which rule",
  "proofs.expectation.byAny": "by any rule",
  "proofs.expectation.message": "with any message",
  "proofs.expectation.remove": "Do not expect this",
  "proofs.expectation.yes": "Yes",
  "proofs.expectation.no": "No",
  "proofs.expectation.kinds.saved": "it is saved",
  "proofs.expectation.kinds.refused": "it is refused",
  "proofs.expectation.kinds.deleted": "it is deleted",
  "proofs.expectation.kinds.value": "a value",
  "proofs.expectation.kinds.state": "a field's state",
  "proofs.expectation.kinds.number": "a number's shape",
  "proofs.expectation.kinds.logged": "a log line",
  "proofs.expectation.kinds.unlogged": "no log line",
  "proofs.expectation.kinds.cursor": "the cursor goes",
  "proofs.expectation.states.shown": "shown",
  "proofs.expectation.states.hidden": "hidden",
  "proofs.expectation.states.open": "open",
  "proofs.expectation.states.closed": "closed",
  "proofs.expectation.states.required": "required",
  "proofs.expectation.states.optional": "optional",
  "proofs.expectation.states.read_only": "read-only",
  "proofs.expectation.states.writable": "writable",
  "proofs.wouldBreak_one": "1 proof would break:",
  "proofs.wouldBreak_other": "%{count} proofs would break:",
  "proofs.wouldMend_one": "1 broken proof would come right:",
  "proofs.wouldMend_other": "%{count} broken proofs would come right:",
  "proofs.breaksNone_one": "The 1 proof concerned holds.",
  "proofs.breaksNone_other": "All %{count} proofs concerned hold.",
  "proofs.noneConcerned": "No proof is concerned.",
  "proofs.ofRule": "Proofs",
  "proofs.unseen": "Not seen yet:",
  "proofs.more": "and %{n} more",
  "proofs.covered_one": "1 of %{of} rules is proven.",
  "proofs.covered_other": "%{count} of %{of} rules are proven.",
  "proofs.missing_zero": "All seen",
  "proofs.missing_other": "%{count} unseen",
  "proofs.brings_zero": "It brings no records along",
  "proofs.brings_one": "1 record that it brings along",
  "proofs.brings_other": "%{count} records that it brings along",
  "proofs.seenBy_zero": "No proof shows this rule.",
  "proofs.seenBy_one": "1 proof shows this rule.",
  "proofs.seenBy_other": "%{count} proofs show this rule.",
  "proofs.board": "%{proven} of %{of} rules proven",
  "proofs.boardBroken": "%{proven} of %{of} rules proven, %{broken} broken",
  "mistakes.title": "Mistakes that slip through in %{table}",
  "mistakes.aim": "Each rule was changed a little, as a slip of the hand would: a sign, a limit, a choice, a setting. These changes break no proof.",
  "mistakes.counting": "Counting small mistakes: %{done} of %{total} rules",
  "mistakes.waiting": "Small mistakes are counted once the proofs have run.",
  "mistakes.noticed": "These proofs notice %{noticed} of %{tried} small mistakes in your rules.",
  "mistakes.failed": "The small mistakes could not be counted. Run the proofs again.",
  "mistakes.slipping_one": "Show the one that slips through",
  "mistakes.slipping_other": "Show the %{count} that slip through",
  "mistakes.make": "Make the record",
  "mistakes.making": "Looking for a record…",
  "mistakes.none": "No record was found that shows it. With your other rules, this change may make no difference.",
  "mistakes.nothing": "Nothing slips through.",
  "mistakes.harmless_one": "1 more change makes no difference; see why",
  "mistakes.harmless_other": "%{count} more changes make no difference; see why",
  "mistakes.group": "Small mistakes",
  "edges.tryRule": "Try it",
  "edges.tryShow": "Try it at its edges",
  "edges.tryHide": "Hide",
  "edges.setsNothing": "The rule sets nothing here.",
  "edges.tryAim": "The rule as it stands here, on made-up records at its limits and missing cases. Nothing is saved.",
  "edges.tryNone": "This rule has no edges to try.",
  "edges.cameOut": "Comes out: %{values}",
  "edges.title": "Records at the edges of %{table}",
  "edges.aim": "Made from the rules themselves. Say of each whether what comes out is what you meant; what you confirm becomes a proof.",
  "edges.which": "Which",
  "edges.open": "what no proof shows",
  "edges.all": "all edges",
  "edges.count_one": "1 record",
  "edges.count_other": "%{count} records",
  "edges.allRight": "All are right",
  "edges.unsound": "No made-up record passes the rules, so these start from one that is refused.",
  "edges.none": "There is nothing to suggest: what can be made is shown by proofs already.",
  "edges.right": "Right",
  "edges.mustSave": "Must be saved",
  "edges.mustRefuse": "Must be refused",
  "edges.leave": "Leave",
  "edges.saved": "is saved",
  "edges.look": "look at it",
  "edges.keep_one": "Keep 1 proof",
  "edges.keep_other": "Keep %{count} proofs",
  "edges.kept_one": "1 proof kept",
  "edges.kept_other": "%{count} proofs kept",
  "edges.group": "At the edges",
  "edges.typed": "%{label}: %{value} typed",
  "edges.leftBlank": "%{label} is left blank",
  "edges.refused": "is refused: %{messages}",
  "samples.atSize": "%{n, number}, to try the grid at size",
  "samples.name": "Made-up",
  "samples.title": "Made-up records for %{table}",
  "samples.aim": "Plausible records that nobody typed: names, days, codes by their masks, choices as often as they occur, links. They can be taken out again in one go.",
  "samples.which": "Which",
  "samples.pass": "that pass the rules",
  "samples.fail": "that one rule refuses",
  "samples.count": "How many",
  "samples.seed": "Seed",
  "samples.seedHint": "The same seed gives the same records.",
  "samples.make": "Make them",
  "samples.show": "Show them",
  "samples.rule": "The rule that refuses them",
  "samples.made": "%{n, number} records made",
  "samples.there": "Made-up records that are there",
  "samples.takeOut": "Take out",
  "samples.takenOut": "Taken out.",
  "samples.noneFails": "No record was found that this rule alone refuses.",
  "samples.download": "As CSV",
  "samples.failing": "%{n} that are refused: %{message} None of them is saved.",
  "samples.failingSome": "%{n} of %{wanted} that are refused: %{message} None of them is saved.",
  "form.save": "Save",
  "form.saveNext": "Save and next",
  "form.remove": "Delete",
  "form.copyNew": "New record",
  "form.saved": "Saved: %{title}",
  "form.unchanged": "Nothing was changed.",
  "form.saving": "Saving …",
  "form.nothingTyped": "Nothing was typed, so nothing was saved.",
  "form.openAddress": "Open %{text}",
  "form.silent": "The server does not answer. Your record is kept here and sent again until it does.",
  "form.typeOn": "Type on, the next field follows",
  "form.held": "Typed ahead:",
  "form.aside": "Waits for the next record:",
  "form.unplaced": "Typed and not put anywhere:",
  "form.dropAside": "Drop it",
  "form.astray": "“%{text}” was typed where nothing can be typed. Choose a field first.",
  "form.noPlace": "“%{key}” does not fit here; %{most} characters fit at most.",
  "form.elsewhere": "%{label} is not on this form.",
  "form.openAll": "Open it with all fields",
  "form.deleted": "Deleted: %{title}",
  "form.removeTitle": "Delete %{title}?",
  "form.removeText": "History keeps what it held.",
  "form.refused_one": "Not saved: one thing is to mend.",
  "form.refused_other": "Not saved: %{count} things are to mend.",
  "form.stillHere": "Everything typed is still here.",
  "form.restored": "What you had typed is back.",
  "form.startOver": "Start over",
  "form.typed": "typed",
  "form.blank": "",
  "form.history": "History of this record",
  "form.copy": "Copy",
  "form.given": "written by a rule",
  "form.closed": "closed as things stand",
  "form.required": "required",
  "form.conflictTitle": "Somebody else changed this record meanwhile",
  "form.changedBy": "%{person} changed this record meanwhile.",
  "form.compare": "Compare and choose",
  "form.compareKey": "Ctrl S opens it too. Nothing has been overwritten, and everything typed is still here.",
  "form.conflictText": "Choose what to keep, field by field. Nothing has been overwritten.",
  "form.before": "Before",
  "form.theirs": "Theirs",
  "form.mine": "Mine",
  "form.by": "changed by %{person}",
  "form.merge": "Save what I chose",
  "form.pickDay": "Pick a day",
  "form.noChoice": "",
  "form.linkedHere": "Linked here",
  "form.retired": "%{choice} (retired)",
  "form.makeAndPick": "Make and pick",
  "form.passWith": "Save all the same, because",
  "form.reason": "the reason goes into History",
  "form.passable": "It can be passed with a reason.",
  "form.tooMuchPasted": "Not taken: the pasted text has %{n, number} characters; here fit %{most}. What was in the field is still there.",
  "form.noMatch": "No record of that name.",
  "form.twins": "Two have this name; pick one with the arrow keys.",
  "form.cantRemove": "%{title} can't be deleted",
  "form.needed": "Other records need it; delete those first, or link them elsewhere.",
  "form.along_one": "1 record of %{table} will be deleted along with it.",
  "form.along_other": "%{count} records of %{table} will be deleted along with it.",
  "form.cleared_one": "%{field} will be cleared in 1 record of %{table}.",
  "form.cleared_other": "%{field} will be cleared in %{count} records of %{table}.",
  "form.gone": "This record is no longer there.",
  "form.noFields": "This table has no fields yet.",
  "form.addFields": "Add fields on the board",
  "form.moveOn": "move on",
  "form.newTitle": "New %{one}",
  "form.spokenFilled": "%{label} is filled by a rule: %{text}.",
  "form.spokenBlank": "%{label} is blank now, by a rule.",
  "form.noChoiceBegins": "No choice begins with “%{text}”. There is: %{choices}.",
  "form.makeNew": "Make “%{text}”",
  "form.makeNewOne": "Make a new one",
  "records.add": "New",
  "records.empty": "No records yet.",
  "records.emptyTyped": "No records yet. Type the first one into the row below, or paste rows from a spreadsheet.",
  "records.addFirst": "Type the first one",
  "records.number": "No.",
  "records.notTyped": "%{label} is written by a rule, or you may not change it. Its sheet says which rule.",
  "records.filtered": "%{n, number} of %{total, number} records match",
  "records.noMatch": "No record matches this filter.",
  "records.cellRefused": "Not saved. Esc leaves it as it was.",
  "records.yes": "Yes",
  "records.no": "No",
  "records.clash": "%{person} made it “%{text}” meanwhile. Press Enter on the cell to choose.",
  "records.clashBlank": "%{person} made it blank meanwhile. Press Enter on the cell to choose.",
  "records.shown_one": "1 record",
  "records.shown_other": "%{count, number} records",
  "records.shownSome": "%{n, number} of %{total, number} records",
  "history.design": "Design",
  "history.aim": "Every save is one entry. Entries can't be changed or removed.",
  "history.designAim": "Every change of tables, fields and rules. Each state can be put back.",
  "history.verbs.create": "made",
  "history.verbs.update": "changed",
  "history.verbs.delete": "deleted",
  "history.verbs.restore": "brought back",
  "history.verbs.restored": "",
  "history.ways.form": "by form",
  "history.ways.grid": "in the grid",
  "history.ways.api": "by program",
  "history.ways.tidy": "tidied",
  "history.ways.numbers": "numbered",
  "history.ways.import": "imported",
  "history.ways.put back": "put back",
  "history.ways.backup": "",
  "history.ways.rule": "by a rule",
  "history.everything": "All tables",
  "history.filter": "Which entries",
  "history.person": "Person",
  "history.field": "Field",
  "history.rule": "Rule",
  "history.way": "Way in",
  "history.from": "From",
  "history.to": "To",
  "history.any": "any",
  "history.showAll": "Show all",
  "history.none": "No entry is like that.",
  "history.overTime.day": "Saves by day",
  "history.overTime.week": "Saves by week",
  "history.overTime.month": "Saves by month",
  "history.saves_one": "1 save",
  "history.saves_other": "%{count, number} saves",
  "history.wholeTime": "Show the whole time",
  "history.export.csv": "CSV",
  "history.export.json": "JSON",
  "history.verify": "Verify the log",
  "history.sound": "All %{n, number} entries hold.",
  "history.broken": "Entry %{n, number} does not hold.",
  "history.setBack": "the clock was set back before this",
  "history.setBackAt": "Before entry %{n, number} the clock was set back by %{span}.",
  "history.inTable": "in %{table}",
  "history.isBack": "%{title} is back as it was",
  "history.bringBack": "Bring it back",
  "history.bringBackTitle": "Make this record again, with its number and all that it held",
  "history.putAllBack": "Before this",
  "history.putAllBackTitle": "Put the record back to what it was before this save",
  "history.putValueBack": "Put %{field} back to %{value}",
  "history.what.table": "Table",
  "history.what.field": "Field",
  "history.what.rule": "Rule",
  "history.what.filter": "Filter",
  "history.what.form": "Form",
  "history.what.proof": "Proof",
  "history.what.list": "List",
  "history.added": "added",
  "history.changed": "changed",
  "history.removed": "taken away",
  "history.putStateBack": "Put the whole design back to this state",
  "history.putRuleBack": "Put this rule back",
  "history.takeOff": "Take this rule off",
  "history.ruleBack": "The rule is as it was before.",
  "history.andMore": "and %{n, number} more",
  "history.sameDesign": "Nothing is different from the state before.",
  "history.records__one": "1 record",
  "history.records__other": "%{count, number} records",
  "history.undone": "taken back",
  "history.undoBatch": "Take it all back",
  "history.passed": "Warned: %{message} Saved all the same: %{reason}",
  "history.more": "Older entries",
  "history.empty": "Nothing has been saved yet.",
  "history.blank": "blank",
  "history.onlyRecord": "Only %{title}",
  "history.all": "Show all of the table",
  "history.values_one": "1 value",
  "history.values_other": "%{count} values",
  "history.putBack": "Put back",
  "history.current": "as it is now",
  "history.actions.start": "",
  "history.actions.change": "",
  "history.actions.undo": "undone:",
  "history.actions.redo": "done again:",
  "history.actions.put back": "put back:",
  "history.actions.restore": "",
  "history.followed_one": "With it, %{field} became another value in 1 record of %{table}.",
  "history.followed_other": "With it, %{field} became another value in %{count, number} records of %{table}.",
  "history.putBackAsk": "Restore the design of %{day}?",
  "history.putBackDo": "Restore it",
  "history.putBackLost": "What would be lost",
  "history.putBackRecords_one": "The table %{place}, with 1 record.",
  "history.putBackRecords_other": "The table %{place}, with %{count, number} records.",
  "history.putBackValues_one": "%{place}: 1 value.",
  "history.putBackValues_other": "%{place}: %{count, number} values.",
  "history.putBackNothing": "No records and no values would be lost.",
  "history.putBackUndo": "It becomes a change of its own: undo brings all of it back.",
  "history.putBackDifferent_one": "1 part of the design would be different:",
  "history.putBackDifferent_other": "%{count} parts of the design would be different:",
  "history.putBackDone": "The design is back as it was.",
  "history.barName": "%{span}: %{saves}",
  "history.barSpan": "%{from} to %{to}",
  "tidyReview.link": "Tidy",
  "tidyReview.title": "Tidy %{table}",
  "tidyReview.aim": "What clean-ups would make of texts that are there. Nothing changes until somebody accepts it.",
  "tidyReview.accept": "Accept",
  "tidyReview.ignore": "Ignore until it changes",
  "tidyReview.pick": "Pick %{name}",
  "tidyReview.acceptAll_one": "Accept it",
  "tidyReview.acceptAll_other": "Accept all %{count, number}",
  "tidyReview.acceptSome": "Accept %{n} picked",
  "tidyReview.ignoreAll_one": "Ignore it",
  "tidyReview.ignoreAll_other": "Ignore all %{count, number}",
  "tidyReview.ignoreSome": "Ignore %{n} picked",
  "tidyReview.acceptText": "Each record goes through its rules. All of it is one entry in History and can be taken back as one.",
  "tidyReview.ignored_one": "1 suggestion put aside.",
  "tidyReview.ignored_other": "%{count, number} suggestions put aside.",
  "tidyReview.again": "Suggest %{n, number} ignored again",
  "tidyReview.empty": "Everything is tidy, or put aside.",
  "tidyReview.noRules": "No clean-up is pinned in this table. Pin one at the stage Tidy.",
  "tidyReview.toBoard": "To the board",
  "tidyReview.more": "%{n, number} more",
  "tidyReview.check": "Look for them",
  "tidyReview.howOften": "How often",
  "tidyReview.never": "only here",
  "tidyReview.every.hour": "every hour",
  "tidyReview.every.day": "every day",
  "tidyReview.every.week": "every week",
  "tidyReview.weekday": "Day of the week",
  "tidyReview.hour": "Hour",
  "tidyReview.tell": "and tell",
  "tidyReview.whom": "Whom to tell",
  "tidyReview.ifAny": "when some wait",
  "tidyReview.accepted_one": "1 text tidied.",
  "tidyReview.accepted_other": "%{count, number} texts tidied.",
  "tidyReview.acceptedSome_one": "1 text tidied, %{left, number} left as they were.",
  "tidyReview.acceptedSome_other": "%{count, number} texts tidied, %{left, number} left as they were.",
  "tidyReview.days.monday": "Monday",
  "tidyReview.days.tuesday": "Tuesday",
  "tidyReview.days.wednesday": "Wednesday",
  "tidyReview.days.thursday": "Thursday",
  "tidyReview.days.friday": "Friday",
  "tidyReview.days.saturday": "Saturday",
  "tidyReview.days.sunday": "Sunday",
  "drafts.short": "draft",
  "drafts.onTack": "A change of it is half written.",
  "drafts.kept": "Draft: it stays here until you save it or delete it.",
  "drafts.overtaken": "Draft: this was changed elsewhere after the draft was begun. Saving puts the draft in its place.",
  "drafts.drop": "Delete the draft",
  "rulePanel.lockReach": "What is locked",
  "rulePanel.lockWhole": "the whole record, and deleting it",
  "rulePanel.lockFields": "some fields",
  "rulePanel.lockWholeAim": "Every field, those added later too. The record can't be deleted, in bulk either.",
  "rulePanel.lockFieldsAim": "The other fields can still be changed, and the record can be deleted.",
  "rulePanel.showFault": "Show it",
  "rulePanel.while": "While this holds",
  "rulePanel.onlyWhile": "Only while a condition holds",
  "rulePanel.fixedMessage": "A fixed text",
  "rulePanel.withValues": "With values",
  "rulePanel.onlyWarn": "Only warn: it can be passed with a reason, which goes into History",
  "rulePanel.letOld": "Let old records be, until one of these fields is changed",
  "rulePanel.low": "Lowest",
  "rulePanel.high": "Highest",
  "rulePanel.limitsHint": "A value, or a formula such as clay.limit or today(). Either may stay empty.",
  "rulePanel.least": "Characters at least",
  "rulePanel.most": "Characters at most",
  "rulePanel.inTable": "In the table",
  "rulePanel.asField": "as its",
  "rulePanel.alsoLocked": "Locked along with it",
  "rulePanel.exceptRole": "Still open to",
  "rulePanel.nobody": "nobody",
  "rulePanel.copyFrom": "Detail of the linked record",
  "rulePanel.copyHint": "Copied when the link is chosen; afterwards a plain value that can be changed.",
  "rulePanel.stale": "As it was before the mistake.",
  "rulePanel.lookAt": "Look at",
  "rulePanel.anyRecord": "any %{one}, by name",
  "rulePanel.more_": "Show more of them",
  "rulePanel.lookAtNone": "Look at none in particular",
  "rulePanel.blank": "blank",
  "rulePanel.newTitle": "New rule: %{stage}",
  "rulePanel.on": "on",
  "rulePanel.begin": "A new record begins with",
  "rulePanel.fixed": "a fixed value",
  "rulePanel.worked": "a formula",
  "rulePanel.formula": "Formula",
  "rulePanel.condition": "What must hold",
  "rulePanel.message": "Message when it does not",
  "rulePanel.name": "Short name for the tack",
  "rulePanel.namePlaceholder": "says itself",
  "rulePanel.note": "Note",
  "rulePanel.more": "Name and note",
  "rulePanel.messageAt": "Message stands at",
  "rulePanel.save": "Pin",
  "rulePanel.saveChange": "Save rule",
  "rulePanel.remove": "Take off",
  "rulePanel.removed": "Rule taken off",
  "rulePanel.results": "On your records",
  "rulePanel.noRecords": "There are no records yet to show it on.",
  "rulePanel.opening": "A new record would open with",
  "rulePanel.nothing": "nothing",
  "rulePanel.effect.default": "Records that exist stay as they are.",
  "rulePanel.effect.unjudged": "%{n, number} can't be judged, because something is blank.",
  "rulePanel.effect.partial": "Looked at %{n, number} of %{total, number} so far.",
  "rulePanel.effect.doubles": "%{n, number} of %{total, number} records share a value with another one.",
  "rulePanel.effect.mend": "Open them from here to mend them, or let old records be.",
  "rulePanel.effect.letBe": "They are let be until one of these fields is changed; the board counts those still open.",
  "rulePanel.effect.warned": "Whoever saves one of them next, changing one of these fields, is asked for a reason.",
  "rulePanel.effect.rewritten_one": "1 is written in this form when next saved.",
  "rulePanel.effect.rewritten_other": "%{count} are written in this form when next saved.",
  "rulePanel.effect.tidiedLater": "Saving the rule changes none of them.",
  "rulePanel.effect.review": "Review them side by side",
  "rulePanel.effect.straysStay": "They stay until one of these fields is changed.",
  "rulePanel.effect.locked": "%{n} of %{total} records are locked as they are now.",
  "rulePanel.effect.refuses_zero": "Every one of the %{total} records would pass.",
  "rulePanel.effect.refuses_other": "%{count} of %{total} records would be refused when next saved.",
  "rulePanel.effect.strayed_zero": "Every one of the %{total} records would pass.",
  "rulePanel.effect.strayed_other": "%{count} of %{total} records do not hold to it.",
  "rulePanel.effect.tidied_zero": "All of the %{total} records are tidy.",
  "rulePanel.effect.tidied_other": "%{count} of %{total} records hold a text that this would tidy.",
  "rulePanel.effect.strays_zero": "All of the %{total} records hold one that belongs.",
  "rulePanel.effect.strays_other": "%{count} of %{total} hold one that does not belong.",
  "rulePanel.verdicts.refused": "refused",
  "rulePanel.verdicts.strays": "does not hold",
  "rulePanel.verdicts.locked": "locked",
  "rulePanel.verdicts.passed": "passes",
  "rulePanel.verdicts.unjudged": "not judged",
  "rulePanel.verdicts.failed": "fails",
  "rulePanel.verdicts.changes": "changes",
  "rulePanel.verdicts.differs": "differs",
  "rulePanel.verdicts.blank": "blank",
  "rulePanel.verdicts.same": "the same",
  "rulePanel.verdicts.idle": "its condition does not hold",
  "rulePanel.verdicts.noRow": "no row fits",
  "rulePanel.choose": "Choose a value",
  "mask.way": "How to make the mask",
  "mask.ways.example": "By example",
  "mask.ways.pieces": "From pieces",
  "mask.ways.text": "Written",
  "mask.ways.ready": "Ready-made",
  "mask.typeExample": "Type one that is written as it should be",
  "mask.meant": "What is meant",
  "mask.noReading": "There is no letter or figure in it yet.",
  "mask.reads": "Reads:",
  "mask.such": "– such as",
  "mask.tryIt": "Try typing by it",
  "mask.complete": "Complete.",
  "mask.refused": "Not yet: %{why}.",
  "mask.storedAs": "Complete. Stored as %{text}.",
  "mask.half": "What is half typed",
  "mask.halves.refuse": "is refused, with what is missing",
  "mask.halves.clear": "is cleared",
  "mask.drop": "Leave separators out of what is stored (they are shown all the same)",
  "mask.usual": "says what is missing",
  "mask.optional": "may be missing",
  "mask.several": "%{n} pieces together",
  "mask.addKind": "Characters",
  "mask.addText": "Fixed text",
  "mask.least": "At least",
  "mask.most": "At most",
  "mask.to": "to",
  "mask.kind": "Kind of characters",
  "mask.kinds.DIGIT": "digits",
  "mask.kinds.UPPER": "capitals",
  "mask.kinds.LOWER": "small letters",
  "mask.kinds.ALPHA": "letters",
  "mask.kinds.ALNUM": "letters or digits",
  "mask.kinds.ANY": "any characters",
  "narrow.list": "What belongs to what",
  "narrow.pasteHint": "Tick what belongs; with Shift a range, on the name the whole row. Or click here and paste two columns: %{parent}, %{field}.",
  "narrow.wholeRow": "All of the row, or none",
  "narrow.way": "How to say what belongs",
  "narrow.condition": "By a condition",
  "narrow.byList": "By a list",
  "narrow.belongs": "One is offered for %{label} where",
  "narrow.dependsOn": "Depends on",
  "narrow.otherwise": "When the others change, one that no longer belongs",
  "narrow.ways.clear": "is cleared",
  "narrow.ways.keep": "is kept",
  "narrow.ways.refuse": "is refused",
  "narrow.message": "Message for one that does not belong",
  "narrow.usual": "says that it does not belong",
  "narrow.pairs_one": "1 pair",
  "narrow.pairs_other": "%{count} pairs",
  "narrow.pastedValues_one": "1 value",
  "narrow.pastedValues_other": "%{count} values",
  "narrow.pasted": "%{pairs} taken over, for %{values}.",
  "narrow.pastedUnknown": "%{pairs} taken over. In neither list: %{unknown}.",
  "narrow.hint": "Here %{key} stands for the one that is looked at, not for what %{label} holds now.",
  "narrow.hintAlone": "Here %{key} stands for the one that is looked at.",
  "tidy.steps": "Steps, from the top",
  "tidy.add": "Add a step …",
  "tidy.earlier": "Move up",
  "tidy.later": "Move down",
  "tidy.remove": "Take out",
  "tidy.example": "Example",
  "tidy.when": "When",
  "tidy.modes.save": "whenever the text becomes another one in a save",
  "tidy.modes.suggest": "never by itself: it is suggested, and somebody accepts or ignores it",
  "tidy.settings.just_so": "Written just so",
  "tidy.settings.prefixes": "Capital again after",
  "tidy.settings.also": "and these characters",
  "tidy.settings.from": "Replace",
  "tidy.settings.to": "with",
  "tidy.kinds.letters": "letters",
  "tidy.kinds.digits": "digits",
  "tidy.kinds.spaces": "spaces",
  "tidy.kinds.punctuation": "punctuation",
  "tidy.kinds.symbols": "symbols",
  "security.again": "Type your password again",
  "security.againWhy": "This is asked before roles, tokens and backups are changed, in case somebody else sits at your browser.",
  "security.goOn": "Continue",
  "security.sessions": "Signed in",
  "security.since": "since %{day}",
  "security.used": "last used %{day}",
  "security.here": "here",
  "security.end": "End",
  "security.endOf": "End the session of %{name} in %{device}",
  "security.ended": "The session has ended.",
  "security.endOthers": "End all my other sessions",
  "security.othersEnded": "Your other sessions have ended.",
  "security.log": "Security log",
  "security.logAim": "Who signed in, who was refused, and what was done to people, tokens and backups. It can only be added to.",
  "security.nothing": "Nothing has happened yet.",
  "security.older": "Show older",
  "security.demoRuns": "The demo is running: on this computer its people sign in with one click. End it before you work with real records.",
  "security.endDemo": "End the demo",
  "security.endDemoAsk": "End the demo?",
  "security.endDemoText": "The demo's people who have no password become inactive. All records and rules stay. From then on everybody signs in with a password.",
  "security.demoEnded_one": "The demo has ended. 1 person is inactive now.",
  "security.demoEnded_other": "The demo has ended. %{count} people are inactive now.",
  "security.passwordFirst": "Set a password of your own first. After the demo nobody signs in without one.",
  "security.anonymise": "Delete the name…",
  "security.anonymiseAsk": "Delete the name of %{name} for good?",
  "security.anonymiseText": "History, the design's history and values that rules wrote show “Person %{id}” instead. What this person did stays, and so do texts that somebody typed. Backups keep the name until they are deleted. This can't be undone.",
  "security.anonymiseDo": "Delete the name",
  "security.anonymised": "%{name} is all that is left of the name.",
  "security.code": "Code from the terminal",
  "security.codeHint": "The window in which Up Tack was started shows it.",
  "name": "Up Tack",
  "views.rules": "Rules",
  "views.forms": "Forms",
  "views.records": "Records",
  "views.bench": "Bench",
  "views.history": "History",
  "views.map": "Map",
  "errors.offline": "Up Tack can't be reached. What you typed is kept here; try again in a moment.",
  "errors.unexpected": "Something went wrong here. Nothing was saved.",
  "errors.missingPage": "There is nothing at this address.",
  "errors.notLoaded": "A part of this page did not arrive.",
  "errors.notShown": "This page can't be shown.",
  "errors.notLoadedText": "What you typed is kept in this browser. Load the page again; if it stays so, tell a builder.",
  "errors.loadAgain": "Load it again",
  "errors.backToTables": "Back to the tables",
  "shell.allTables": "All tables",
  "shell.find": "Find",
  "shell.findHint": "Find a table, field, rule, record or command",
  "shell.nothingFound": "Nothing of that name.",
  "shell.shortcuts": "Keyboard",
  "shell.theme.calico": "Switch to lamplight (dark)",
  "shell.theme.lamplight": "Switch to calico (light)",
  "shell.you": "You",
  "shell.undo": "Undo",
  "shell.redo": "Redo",
  "shell.undone": "Undone: %{what}",
  "shell.redone": "Done again: %{what}",
  "shell.nothingToUndo": "There is no change of the design to undo.",
  "shell.nothingToRedo": "There is nothing to do again.",
  "shell.skip": "Skip to the content",
  "shell.clock": "Day and hour at the firm (%{zone})",
  "overview.aim": "Pin rules on a table's fields, try a record on the bench, then let people type.",
  "overview.add": "New table",
  "overview.addPlaceholder": "Name, such as Glazes",
  "overview.create": "Make table",
  "overview.records_one": "1 record",
  "overview.records_other": "%{count, number} records",
  "overview.fields_one": "1 field",
  "overview.fields_other": "%{count} fields",
  "overview.rules_one": "1 rule",
  "overview.rules_other": "%{count} rules",
  "overview.empty": "There is no table yet. A table holds records of one kind: members, pieces, orders.",
  "overview.rename": "Rename",
  "overview.remove": "Delete",
  "overview.removeTitle": "Delete %{table}?",
  "overview.removeText": "Its %{n, number} records and all its rules go with it. An undo brings everything back.",
  "overview.removeElsewhere": "These rules of other tables use it and go with it:",
  "overview.removed": "%{table} deleted",
  "overview.renameTitle": "Rename the table",
  "overview.label": "Name of the table",
  "overview.one": "What one record is called",
  "job.title": "Working it out on every record",
  "job.begin": "Getting ready …",
  "job.field": "%{name}",
  "job.stop": "Stop",
  "job.note": "Until it is finished everything stays as it was. Stopping leaves the design and all records unchanged.",
  "job.stopped": "Stopped. The design and all records are as they were.",
  "job.count": "%{done, number} of %{total, number} records",
  "job.left.few": "a few seconds left",
  "job.left.seconds": "about %{n} seconds left",
  "job.left.minutes_one": "about 1 minute left",
  "job.left.minutes_other": "about %{count} minutes left",
  "roles.builder": "builders",
  "roles.clerk": "clerks",
  "roles.reader": "readers",
  "writing.title": "Dates, numbers and time zone",
  "writing.aim": "Records stay as they are; they are shown and read in another way. Undo brings the old way back.",
  "writing.dates": "Dates in figures",
  "writing.zone": "Time zone",
  "writing.decimal": "Before decimals",
  "writing.group": "Between thousands",
  "writing.shown": "What would be shown differently",
  "writing.shownNone": "No value of a record.",
  "writing.typed": "What would be understood differently",
  "writing.typedNone": "Nothing that people type.",
  "writing.done": "The ways of writing are changed.",
  "writing.orders.dmy": "day, month, year: 24/3/2026",
  "writing.orders.mdy": "month, day, year: 3/24/2026",
  "writing.orders.ymd": "year, month, day: 2026-3-24",
  "writing.decimals.point": "a point: 1.5",
  "writing.decimals.comma": "a comma: 1,5",
  "writing.groups.comma": "a comma: 1,200",
  "writing.groups.point": "a point: 1.200",
  "writing.groups.space": "a space: 1 200",
  "outbox.title": "Outbox",
  "outbox.aim": "Notices to people. They stay in here; nothing is sent out of the firm.",
  "outbox.check": "Check what is due",
  "outbox.empty": "No notices yet. A table's clean-ups can tell somebody when suggestions wait.",
  "outbox.to": "To %{name}",
  "outbox.open": "Look",
  "outbox.waiting_one": "1 notice waits for you",
  "outbox.waiting_other": "%{count} notices wait for you",
  "outbox.checked_zero": "Nothing is due.",
  "outbox.checked_one": "1 notice was made.",
  "outbox.checked_other": "%{count} notices were made.",
  "keys.title": "Keyboard",
  "keys.close": "Close",
  "keys.everywhere.name": "Everywhere",
  "keys.everywhere.find": "find anything",
  "keys.everywhere.list": "this list",
  "keys.everywhere.undo": "undo a change of the design",
  "keys.everywhere.redo": "redo it",
  "keys.everywhere.close": "close",
  "keys.board.name": "Board",
  "keys.board.tacks": "from tack to tack",
  "keys.board.open": "open, or pin a rule on an empty place",
  "keys.board.move": "move a field",
  "keys.board.delete": "delete a field or rule",
  "keys.board.add": "add a field",
  "keys.board.save": "save the rule or field",
  "keys.records.name": "Records",
  "keys.records.cells": "from cell to cell; with Shift a range, with Ctrl to the end",
  "keys.records.type": "edit the cell; Enter or Tab saves and moves on, Esc cancels",
  "keys.records.typeKeys": "F2, Enter, a letter",
  "keys.records.tab": "to the next cell that takes what is typed; Esc, then Tab leaves the grid",
  "keys.records.giveUp": "give up a row that was refused",
  "keys.records.clear": "clear the range",
  "keys.records.copy": "copy, cut and paste a block, also from and to a spreadsheet",
  "keys.records.fill": "fill down, fill to the right; with the mouse: draw the corner of the range",
  "keys.records.find": "find in all records",
  "keys.records.undo": "undo the last change here, redo it",
  "keys.records.select": "select the rows of the range, or all that match",
  "keys.records.open": "open the record",
  "keys.records.selectKeys": "Space, Ctrl A",
  "keys.form.name": "Form",
  "keys.form.create": "in a link: create a record",
  "keys.form.next": "to the next field",
  "keys.form.back": "back",
  "keys.form.save": "save",
  "keys.form.saveNext": "save and next",
  "common.spaces_one": "1 space",
  "common.spaces_other": "%{count} spaces",
  "common.cancel": "Cancel",
  "common.close": "Close",
  "common.loading": "One moment …",
  "common.retry": "Try again",
  "common.save": "Save",
};
