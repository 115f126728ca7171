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
  "care.gigabytes": { number: Gap };
  "care.kilobytes": { number: Gap };
  "care.megabytes": { number: Gap };
  "care.unknown": null;
  "care.trusted": null;
  "care.late": null;
  "care.proven": { when: Gap };
  "care.disproven": { when: Gap };
  "care.provenSound": null;
  "care.unproven": null;
  "care.provenAim": null;
  "care.prove": null;
  "care.proving": null;
  "care.second": { folder: Gap; when: Gap };
  "care.secondEmpty": { folder: Gap };
  "care.noSecond": null;
  "space.link": null;
  "space.title": null;
  "space.aim": null;
  "space.database": null;
  "space.backups": null;
  "space.free": null;
  "space.daily": null;
  "space.full": null;
  "space.unknown": null;
  "space.later": null;
  "space.years": null;
  "space.inDays": { number: Gap; count: number };
  "space.parts": null;
  "space.note": null;
  "space.what.table": null;
  "space.what.log": null;
  "space.what.design": null;
  "space.what.aside": null;
  "space.what.answers": null;
  "space.what.free": null;
  "space.what.rest": null;
  "space.explained.table": null;
  "space.explained.log": null;
  "space.explained.design": null;
  "space.explained.aside": null;
  "space.explained.answers": null;
  "space.explained.free": null;
  "space.explained.rest": null;
  "tokens.title": null;
  "tokens.aim": null;
  "tokens.subscribe": null;
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
  "tokens.versions": null;
  "tokens.versionsNote": null;
  "webhooks.title": null;
  "webhooks.aim": null;
  "webhooks.address": null;
  "webhooks.tables": null;
  "webhooks.all": null;
  "webhooks.make": null;
  "webhooks.once": null;
  "webhooks.none": null;
  "webhooks.try": null;
  "webhooks.accepted": null;
  "webhooks.off": null;
  "webhooks.on": null;
  "webhooks.delete": null;
  "webhooks.again": { at: Gap };
  "webhooks.ready": null;
  "webhooks.told": { at: Gap };
  "webhooks.waiting": { count: number };
  "webhooks.isOff": { count: number };
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
  "docs.tryIt": null;
  "docs.send": null;
  "docs.asYou": null;
  "docs.forReal": null;
  "docs.answered": { status: Gap };
  "docs.unreachable": null;
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
  "decision.hints.any": null;
  "decision.hints.list": null;
  "decision.hints.range": null;
  "decision.hints.blank": null;
  "decision.hints.first": null;
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
  "dragging.how": null;
  "dragging.over": { place: Gap };
  "dragging.dropped": null;
  "dragging.cancelled": null;
  "map.edge": { from: Gap; to: Gap };
  "map.controls.title": null;
  "map.controls.in": null;
  "map.controls.out": null;
  "map.controls.fit": null;
  "map.controls.node": null;
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
  "imports.databases": null;
  "imports.severalTitle": null;
  "imports.severalNote": null;
  "imports.lookingAtTables": null;
  "imports.tables": null;
  "imports.tableCount": { count: number };
  "imports.fieldCount": { count: number };
  "imports.noteCount": { count: number };
  "imports.take": { table: Gap };
  "imports.calledThere": { name: Gap };
  "imports.rulesThere": null;
  "imports.rulesOfTable": null;
  "imports.oneSheet": { sheet: Gap };
  "imports.allSheets": { count: number };
  "imports.saveTables": { count: number };
  "imports.oneEntryEach": null;
  "imports.sending": { percent: Gap };
  "imports.another": null;
  "imports.reading": null;
  "imports.sheet": null;
  "imports.heading": null;
  "imports.noHeading": null;
  "imports.headingRow": { row: Gap };
  "imports.delimiter": null;
  "imports.divided.,": null;
  "imports.divided.;": null;
  "imports.divided.\t": null;
  "imports.divided.|": null;
  "imports.encodingOf": null;
  "imports.firstRows": null;
  "imports.rowNumber": null;
  "imports.column": null;
  "imports.shows": null;
  "imports.field": null;
  "imports.leftOut": null;
  "imports.columnsLeftOut": { columns: Gap; count: number };
  "imports.setAgain": { columns: Gap };
  "imports.setByRule": null;
  "imports.asWas": null;
  "imports.asWasNote": null;
  "imports.round": null;
  "imports.nothing": null;
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
  "imports.linkTo": { table: Gap };
  "imports.rules": null;
  "imports.noRules": null;
  "imports.lookedAtAll": { count: number };
  "imports.lookedAt": { looked: Gap; rows: Gap };
  "imports.lookingAtAll": null;
  "imports.lookAtAll": null;
  "imports.noChoices": null;
  "imports.editChoices": null;
  "imports.editChoicesOf": { column: Gap };
  "imports.choicesOf": { column: Gap };
  "imports.oneALine": null;
  "imports.doneChoices": null;
  "imports.more": { count: number };
  "imports.leaveOff": null;
  "imports.refusedBy": { rule: Gap; count: number };
  "imports.fixed": null;
  "imports.notChoices": { field: Gap; texts: Gap };
  "imports.addThese": { count: number };
  "imports.leftOff": { rule: Gap };
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
  "exports.feeds": null;
  "exports.calendar": { field: Gap };
  "exports.contacts": null;
  "exports.feedsNote": null;
  "exports.feedsLink": null;
  "exports.schema": null;
  "exports.note": null;
  "exports.all": null;
  "exports.allAim": null;
  "exports.sql": null;
  "exports.postgresql": null;
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
  "project.counts": { changed: Gap; count: number };
  "project.loses": { field: Gap; count: number };
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
  "proofs.covered": { count: number; of: Gap };
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
  "form.notSavedBefore": { why: Gap };
  "form.openDraft": null;
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
  "history.channels.form": null;
  "history.channels.grid": null;
  "history.channels.api": null;
  "history.channels.bulk": null;
  "history.channels.tidy": null;
  "history.channels.numbers": null;
  "history.channels.import": null;
  "history.channels.import as it was": null;
  "history.channels.made up": null;
  "history.channels.put back": null;
  "history.channels.backup": null;
  "history.channels.rule": null;
  "history.everything": null;
  "history.filter": null;
  "history.person": null;
  "history.field": null;
  "history.rule": null;
  "history.channel": null;
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
  "legend.title": null;
  "legend.tack": null;
  "legend.shared": null;
  "legend.used": null;
  "legend.proven": null;
  "legend.partly": null;
  "legend.untried": null;
  "legend.broken": null;
  "legend.notice": null;
  "legend.unchecked": null;
  "legend.draft": null;
  "legend.empty": null;
  "cases.condition": null;
  "cases.else": null;
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
  "rulePanel.effectFailed": null;
  "rulePanel.lookAt": null;
  "rulePanel.anyRecord": { one: Gap };
  "rulePanel.more_": null;
  "rulePanel.lookAtNone": null;
  "rulePanel.blank": null;
  "rulePanel.newTitle": { stage: Gap };
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
  "palette.kinds.view": null;
  "palette.kinds.field": null;
  "palette.kinds.rule": null;
  "palette.kinds.form": null;
  "palette.kinds.proof": null;
  "palette.kinds.record": null;
  "palette.kinds.command": null;
  "shell.notices": null;
  "shell.help": null;
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
  "guide.title": null;
  "guide.aim": null;
  "guide.search": null;
  "guide.all": null;
  "guide.explain": null;
  "firstSteps.title": null;
  "firstSteps.close": null;
  "firstSteps.done": null;
  "firstSteps.table": null;
  "firstSteps.field": null;
  "firstSteps.rule": null;
  "firstSteps.trial": null;
  "firstSteps.proof": null;
  "firstSteps.form": null;
  "firstSteps.person": null;
  "firstSteps.how.table": null;
  "firstSteps.how.field": null;
  "firstSteps.how.rule": null;
  "firstSteps.how.trial": null;
  "firstSteps.how.proof": null;
  "firstSteps.how.form": null;
  "firstSteps.how.person": null;
  "start.aim": null;
  "start.readAim": null;
  "start.view": null;
  "start.waiting": null;
  "start.newDraft": { table: Gap };
  "start.draft": { table: Gap; id: Gap };
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
  "waiting.for": { what: Gap };
  "waiting.kept": null;
  "waiting.percent": { percent: Gap };
  "waiting.server": null;
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
  "care.aim": "Copies of the whole database: every table, record and rule, and the change log.",
  "care.make": "Back up now",
  "care.made": "Backup created and verified.",
  "care.none": "No backups yet.",
  "care.when": "Created",
  "care.why": "Reason",
  "care.size": "Size",
  "care.get": "Download",
  "care.restore": "Restore",
  "care.drop": "Delete",
  "care.restoreTitle": "Restore the backup of %{when}?",
  "care.restoreText": "Everything returns to the state of that backup. The current data is backed up first and kept for at least 30 days. Everybody is signed out, including you.",
  "care.dropTitle": "Delete the backup of %{when}?",
  "care.dropText": "You can't undo this.",
  "care.restored": "Restored. The previous data was saved as %{name}. Sign in again.",
  "care.schedule": "Schedule",
  "care.every": "Back up",
  "care.everies.never": "never",
  "care.everies.hour": "every hour",
  "care.everies.day": "every day",
  "care.everies.week": "every week",
  "care.hour": "at",
  "care.keep": "Backups to keep, at most",
  "care.days": "Days to keep, at most",
  "care.save": "Save",
  "care.saved": "Schedule saved.",
  "care.check": "Check everything",
  "care.checkAim": "Checks the database file, links, change log, calculated values and counters. Makes no changes.",
  "care.sound": "OK",
  "care.broken": "problem found",
  "care.gigabytes": "%{number} GB",
  "care.kilobytes": "%{number} kB",
  "care.megabytes": "%{number} MB",
  "care.unknown": "not known yet",
  "care.trusted": "Trust in the backups",
  "care.late": "The latest backup is older than it should be. Back up now, and look at the schedule.",
  "care.proven": "Last proven restore: %{when}.",
  "care.disproven": "The restore that was tried on %{when} found a problem.",
  "care.provenSound": "The latest backup was restored into a copy and verified. All of it is sound.",
  "care.unproven": "No restore is proven yet.",
  "care.provenAim": "Up Tack restores the latest backup into a copy every week and verifies all of it.",
  "care.prove": "Prove it now",
  "care.proving": "Restoring a copy…",
  "care.second": "Each backup is copied to %{folder}. Latest copy: %{when}.",
  "care.secondEmpty": "Each backup is copied to %{folder}. There is no copy yet.",
  "care.noSecond": "Backups are on the same disk as the database. Set UP_TACK_BACKUPS to a folder on another disk.",
  "space.link": "Space",
  "space.title": "Space",
  "space.aim": "What takes space in the database and beside it, and when the disk will be full.",
  "space.database": "Database",
  "space.backups": "Backups",
  "space.free": "Free on the disk",
  "space.daily": "Added a day, about",
  "space.full": "Disk full",
  "space.unknown": "not known",
  "space.later": "known in a week",
  "space.years": "not for ten years",
  "space.inDays_one": "in 1 day",
  "space.inDays_other": "in %{number} days",
  "space.parts": "In the database",
  "space.note": "Room of deleted records is used again, or given back to the disk little by little. In a database of an older version, “bin/uptack compact” gives it back.",
  "space.what.table": "Table",
  "space.what.log": "Change log",
  "space.what.design": "Design, its revisions and proofs",
  "space.what.aside": "Deleted fields and tables",
  "space.what.answers": "Answers to scripts",
  "space.what.free": "Room to use again",
  "space.what.rest": "The rest",
  "space.explained.table": "Records and indexes of this table",
  "space.explained.log": "Every change of every record. It is never cut.",
  "space.explained.design": "Every revision of the design, and what came of the proofs",
  "space.explained.aside": "Kept for a year, so that you can undo the deletion",
  "space.explained.answers": "Kept for a day, so that nothing is done twice",
  "space.explained.free": "What deleted records have left",
  "space.explained.rest": "People, sessions, counters and settings",
  "tokens.title": "Tokens for scripts",
  "tokens.aim": "A script sends its token as “Authorization: Bearer …” and acts as you, with the token's role, until it expires. With the role reader you can also subscribe to calendars and contacts.",
  "tokens.subscribe": "Subscribe to dates or contacts with these addresses. Put in the keys of the table and the field. Whoever has the address can read.",
  "tokens.name": "Purpose",
  "tokens.role": "Role",
  "tokens.ends": "Expires",
  "tokens.used": "Last used",
  "tokens.never": "never",
  "tokens.make": "Create token",
  "tokens.revoke": "Revoke",
  "tokens.revoked": "The token “%{name}” no longer works.",
  "tokens.once": "Copy it now. It won't be shown again.",
  "tokens.copy": "Copy",
  "tokens.copied": "Copied.",
  "tokens.over": "expired",
  "tokens.none": "No tokens yet.",
  "tokens.of": "for %{name}",
  "tokens.days": "Days until it expires",
  "tokens.versions": "Scripts must say which version of a record they change",
  "tokens.versionsNote": "So no script overwrites what somebody else has saved since it read the record. It sends the record's ETag as If-Match, or its version.",
  "webhooks.title": "Webhooks",
  "webhooks.aim": "Up Tack tells other programs which records were saved or deleted, without their values. Messages are signed, and sent again until they are accepted.",
  "webhooks.address": "Address",
  "webhooks.tables": "Tables",
  "webhooks.all": "All tables",
  "webhooks.make": "Create webhook",
  "webhooks.once": "Give this secret to the receiver now. It won't be shown again.",
  "webhooks.none": "No webhooks yet.",
  "webhooks.try": "Try",
  "webhooks.accepted": "The receiver accepted a message without changes.",
  "webhooks.off": "Switch off",
  "webhooks.on": "Switch on",
  "webhooks.delete": "Delete",
  "webhooks.again": "Next try: %{at}.",
  "webhooks.ready": "nothing sent yet",
  "webhooks.told": "last sent: %{at}",
  "webhooks.waiting_one": "%{count, number} change waits",
  "webhooks.waiting_other": "%{count, number} changes wait",
  "webhooks.isOff_one": "switched off, %{count, number} change waits",
  "webhooks.isOff_other": "switched off, %{count, number} changes wait",
  "docs.link": "HTTP API",
  "docs.title": "The HTTP API",
  "docs.aim": "The interface uses this API for everything it does.",
  "docs.document": "OpenAPI document",
  "docs.search": "Search endpoints",
  "docs.query": "Path and query",
  "docs.body": "Body",
  "docs.answers": "Responses",
  "docs.required": "required",
  "docs.none": "No matching endpoint.",
  "docs.tryIt": "Try it",
  "docs.send": "Send",
  "docs.asYou": "The answer is what you may see yourself.",
  "docs.forReal": "This is done for real, in your name.",
  "docs.answered": "Response: %{status}",
  "docs.unreachable": "Up Tack can't be reached.",
  "docs.least.anyone": "Role: anyone",
  "docs.least.role": "Role: %{role} or higher",
  "board.aim": "When a record is saved, rules run from left to right.",
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
  "board.moved": "%{label} is now at position %{place}",
  "board.shared": "on several fields",
  "board.open_one": "1 existing record not yet checked",
  "board.open_other": "%{count} existing records not yet checked",
  "board.openShort": "%{n} unchecked",
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
  "fieldPanel.rekeyed": "The field's key is now %{key}. Scripts can still use %{former} until you delete that key in the field's panel.",
  "fieldPanel.formerKeys": "Former keys",
  "fieldPanel.formerKey": "Scripts can still use it",
  "fieldPanel.dropKey": "Delete",
  "fieldPanel.dropFormerKey": "Delete the former key %{key}",
  "fieldPanel.title": "Field",
  "fieldPanel.label": "Name",
  "fieldPanel.type": "Type",
  "fieldPanel.decimals": "Maximum decimal places",
  "fieldPanel.anyDecimals": "any",
  "fieldPanel.note": "Note",
  "fieldPanel.notePlaceholder": "Why it exists, for whoever comes later",
  "fieldPanel.keyIs": "Key in formulas:",
  "fieldPanel.known": "Use this field as the %{one}'s name",
  "fieldPanel.save": "Save field",
  "fieldPanel.remove": "Delete field",
  "fieldPanel.retypeLoses_one": "1 value can't be converted and would be blank: %{examples}. You can undo this.",
  "fieldPanel.retypeLoses_other": "%{count} values can't be converted and would be blank: %{examples}. You can undo this.",
  "fieldPanel.retypeKeeps": "All %{n} values can be converted.",
  "fieldPanel.removeTitle": "Delete %{label}?",
  "fieldPanel.removeValues_one": "1 record has a value in it.",
  "fieldPanel.removeValues_other": "%{count} records have a value in it.",
  "fieldPanel.removeRules": "These rules use it and will be deleted too:",
  "fieldPanel.undoNote": "You can undo this.",
  "link.target": "Links to",
  "link.pick": "Choose a table",
  "link.record": "linked record",
  "link.choices.refuse": "prevent deletion while a %{one} links to it",
  "link.choices.clear": "clear the link in the %{one}",
  "link.choices.delete": "delete the %{one} too",
  "link.details": "Show a field of the linked record",
  "link.detail": "Field of the linked record",
  "link.how": "How it is added",
  "link.live": "Live",
  "link.copied": "Copied",
  "link.liveMeans": "Read-only; always shows the linked record's current value.",
  "link.copiedMeans": "Copied when the link is selected; can be edited and is not updated later.",
  "link.bring": "Add field",
  "link.brought": "%{label} added",
  "link.onDelete": "When the linked %{one} is deleted",
  "link.reverse": "Name of these records as seen from a %{one}",
  "choices.title": "Choices",
  "choices.source": "Source of the choices",
  "choices.own": "own list",
  "choices.shared": "shared list: %{name}",
  "choices.retired": "retired",
  "choices.retiredOnes": "retired: %{names}",
  "choices.one": "Choice %{n}",
  "choices.add": "Add a choice",
  "choices.editLists": "Shared lists",
  "choices.lists": "Shared lists",
  "choices.noLists": "No shared lists yet. Several fields can use one list, and you change it in one place.",
  "choices.newList": "New list",
  "choices.name": "List name",
  "choices.drop": "Delete list",
  "choices.usedBy": "Used by %{fields}.",
  "choices.unknown": "Not a choice of %{field} yet:",
  "choices.addThese_one": "Add it to %{field}",
  "choices.addThese_other": "Add these %{count} to %{field}",
  "choices.addLost_one": "Add it to the choices",
  "choices.addLost_other": "Add these %{count} to the choices",
  "choices.undo": "Undo",
  "choices.merge": "Merge into another choice",
  "choices.mergeInto": "Merge %{name} into …",
  "choices.becomes": "%{was} will be merged into %{other}.",
  "choices.wasCalled": "Formerly %{was}.",
  "choices.followTitle": "Rename choices",
  "choices.followAction": "Rename",
  "choices.records_one": "1 record",
  "choices.records_other": "%{count, number} records",
  "choices.mergedNote": "merged: they can be told apart again only if you undo this change",
  "choices.follows_one": "1 place is updated too:",
  "choices.follows_other": "%{count} places are updated too:",
  "choices.followsNone": "No rule, form, proof or saved view uses them.",
  "choices.stays": "These texts mention them but are not updated. Change them yourself if needed:",
  "format.title": "Display format",
  "format.ready": "Preset",
  "format.usual": "default",
  "format.ownPattern": "custom pattern",
  "format.pattern": "Pattern (CLDR)",
  "format.group": "Thousands separator",
  "format.before": "Prefix",
  "format.after": "Suffix",
  "format.turned": "Show newest line first",
  "format.yes": "Text for yes",
  "format.no": "Text for no",
  "format.blank": "Text when blank",
  "format.shown": "Example",
  "calculation.keeping": "When it is calculated",
  "calculation.kinds.always.name": "Always up to date",
  "calculation.kinds.always.follows": "Stored and read-only. Recalculated at once when a field it uses changes, also in existing records.",
  "calculation.kinds.shown.name": "On display only",
  "calculation.kinds.shown.follows": "Calculated when displayed. Not stored, and exported only on request.",
  "calculation.kinds.once.name": "Once",
  "calculation.kinds.once.follows": "Calculated when the record is created or its inputs are first filled in. After that it can be edited.",
  "calculation.fleeting": "It uses %{what}, so it is recalculated each time it is displayed. You can still sort and filter by it.",
  "calculation.onceEffect": "Existing records stay as they are. They would have got these values:",
  "calculation.failed_one": "1 can't be calculated and would be blank.",
  "calculation.failed_other": "%{count} can't be calculated and would be blank.",
  "calculation.blank_one": "1 result is blank.",
  "calculation.blank_other": "%{count} results are blank.",
  "calculation.wouldChange_zero": "None of the %{total} records would change.",
  "calculation.wouldChange_one": "1 of %{total} records would change.",
  "calculation.wouldChange_other": "%{count} of %{total} records would change.",
  "calculation.wouldShow_zero": "No displayed value would change.",
  "calculation.wouldShow_one": "1 of %{total} records would show another value.",
  "calculation.wouldShow_other": "%{count} of %{total} records would show another value.",
  "fill.event": "When it runs",
  "fill.events.changed": "A field changes",
  "fill.events.reached": "A condition becomes true",
  "fill.events.made": "A record is created",
  "fill.watch": "Trigger fields",
  "fill.anyRead": "None selected: runs when any field used in the formulas changes.",
  "fill.onlyThese": "Runs when one of these fields changes.",
  "fill.reaches": "Runs when this becomes true",
  "fill.onlyWhile": "Only while a condition is met",
  "fill.sets": "Fields to set",
  "fill.to": "is set to",
  "fill.else": "otherwise set to",
  "fill.addElse": "Add “otherwise set to”",
  "fill.add": "Set another field …",
  "fill.drop": "Remove %{label}",
  "fill.blankHint": "Enter a formula. Put text in quotes; use blank to clear the field.",
  "fill.onlyBlank": "Only fill blank fields",
  "fill.overrules": "Also overwrite values typed by hand",
  "fill.hand": "Values typed after the trigger are kept; values typed before it are overwritten.",
  "decision.inputs": "Inputs",
  "decision.outputs": "Outputs",
  "decision.name": "Table name",
  "decision.namePlaceholder": "for example Firing programme",
  "decision.addInput": "Add input …",
  "decision.addOutput": "Add output …",
  "decision.ownFormula": "a formula …",
  "decision.formulaOf": "Formula of this column",
  "decision.remove": "Remove column %{label}",
  "decision.turn": "Move column %{label} to the other side",
  "decision.pasteHere": "Paste a block from a spreadsheet here",
  "decision.addRow": "Add row",
  "decision.row": "Row %{n}",
  "decision.rowUp": "Move row %{n} up",
  "decision.rowDown": "Move row %{n} down",
  "decision.rowRemove": "Remove row %{n}",
  "decision.cell": "Row %{row}, %{label}",
  "decision.hints.any": "empty: any value",
  "decision.hints.list": "a; b: either of these",
  "decision.hints.range": "> 5, 3..9 or 3..<9: numbers, dates and times",
  "decision.hints.blank": "blank: no value",
  "decision.hints.first": "The first matching row from the top is used. An empty output clears the field.",
  "decision.any": "any",
  "decision.cleared": "cleared",
  "decision.copy": "Copy",
  "decision.copied": "Table copied. Paste it into a spreadsheet.",
  "decision.notCopied": "The browser didn't allow copying. Export the CSV file instead.",
  "decision.exportCsv": "Export CSV",
  "decision.importCsv": "Import CSV",
  "decision.tooWide": "Not pasted: the block has %{has} columns, but there is room for %{room} from here. Add columns first, or include the header row when you copy.",
  "decision.pasted_one": "1 row pasted.",
  "decision.pasted_other": "%{count} rows pasted.",
  "decision.otherwise": "When no row matches",
  "decision.ways.leave": "leave the fields as they are",
  "decision.ways.clear": "clear the fields",
  "decision.review": "Check",
  "decision.sound": "Complete: every combination is covered and no rows conflict.",
  "decision.gaps": "Gaps: no row for",
  "decision.unreached": "Unreachable rows",
  "decision.contradictions": "Conflicting rows",
  "decision.both": "Rows %{one} and %{other}, when",
  "decision.upper": "row %{one} is used",
  "decision.stopped": "Too many combinations to check them all; there may be more problems.",
  "decision.tryIt": "Try it",
  "decision.columnsNeeded": "Add inputs and outputs, or paste a block that includes its header row.",
  "decision.mistakes_one": "1 cell is invalid:",
  "decision.mistakes_other": "%{count} cells are invalid:",
  "state.state": "Field state",
  "state.states.shown": "Visible",
  "state.states.enabled": "Editable",
  "state.states.required": "Required",
  "state.states.read_only": "Read-only",
  "state.means.shown": "The field is on the form only while the condition is met.",
  "state.means.enabled": "The field can be edited only while the condition is met.",
  "state.means.required": "The field is required while the condition is met, otherwise optional.",
  "state.means.read_only": "The field can't be edited while the condition is met.",
  "state.while": "While",
  "state.otherwise": "Otherwise, its value",
  "state.ways.keep": "is kept",
  "state.ways.clear": "is cleared",
  "state.enforced": "Also enforce for imports, the grid and the API",
  "state.always": "A cleared value can't be re-entered through an import or the API; it is refused.",
  "state.stay": "They stay as they are until one of these fields is edited.",
  "state.effect_zero": "All %{total} existing records comply.",
  "state.effect_one": "1 of %{total} existing records does not comply.",
  "state.effect_other": "%{count} of %{total} existing records do not comply.",
  "notices.title": "Warnings",
  "notices.more": "More cases",
  "fillEffect.fill": "Existing records are not changed. If it ran now, %{differs} would change and %{same} already match.",
  "fillEffect.none_one": "The condition is not met in 1 of them.",
  "fillEffect.none_other": "The condition is not met in %{count} of them.",
  "fillEffect.noRow_one": "No row matches 1 of them.",
  "fillEffect.noRow_other": "No row matches %{count} of them.",
  "forms.pick": "Forms for this table",
  "forms.design": "Change this form",
  "forms.make": "New form",
  "forms.open": "open",
  "forms.nothingLinked": "Appears when %{label} is selected.",
  "forms.gone": "This form was deleted. Showing all fields instead.",
  "lines.empty": "No lines yet.",
  "lines.add": "Add a line",
  "lines.remove": "Remove line %{n}",
  "lines.back": "Restore line %{n}",
  "lines.cell": "Line %{n}, %{label}",
  "designer.title": "%{name} · %{table}",
  "designer.builders": "Only builders can design forms.",
  "designer.back": "Forms",
  "designer.usualName": "%{one} form",
  "designer.save": "Save form",
  "designer.saved": "Form saved: %{name}",
  "designer.remove": "Delete form",
  "designer.removed": "Form deleted: %{name}. Ctrl Z restores it.",
  "designer.startOver": "Discard changes",
  "designer.live": "Preview",
  "designer.liveAim": "Type here to try the form: your records are not changed. Enter and Tab move as the form says.",
  "designer.linesHere": "Lines of %{label} (%{fields} fields each) appear here.",
  "designer.name": "Name",
  "designer.note": "Note",
  "designer.notePlaceholder": "for whom, and when",
  "designer.cursor": "Cursor and buttons",
  "designer.skipFilled": "Skip fields filled by rules",
  "designer.ownOrder": "Custom tab order",
  "designer.earlier": "Move %{label} earlier",
  "designer.later": "Move %{label} later",
  "designer.jumps": "Jumps",
  "designer.after": "after",
  "designer.to": "to",
  "designer.firstBlank": "the first blank field",
  "designer.end": "the end of the form",
  "designer.jumpWhile": "only while a condition is met",
  "designer.addJump": "Add a jump",
  "designer.dropJump": "Remove jump",
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
  "designer.dropSection": "Remove section %{n} (its fields move to the section above)",
  "designer.add": "Add to this section …",
  "designer.fields": "Fields",
  "designer.details": "Fields of a linked record (read-only)",
  "designer.lines": "Records that link here, as lines",
  "designer.linesOf": "Lines: %{table}",
  "designer.detailsOf": "Fields of %{label}",
  "designer.width": "Width of %{label}",
  "designer.drop": "Remove %{label} from the form",
  "designer.ruleCount_one": "1 rule",
  "designer.ruleCount_other": "%{count} rules",
  "designer.carries": "carried over",
  "designer.begins": "default",
  "designer.label": "Label",
  "designer.ownLabel": "same as field name",
  "designer.hint": "Hint",
  "designer.carry": "Carry over from the previous record",
  "designer.default": "Default on this form",
  "designer.states": "Field state",
  "designer.while": "while",
  "designer.addState": "Visible, editable, required or read-only while …",
  "designer.dropState": "Remove state",
  "designer.tableRules": "Table rules also apply",
  "designer.innerFields": "Fields to show",
  "designer.movedTo": "%{label}: section %{section}, position %{place}",
  "designer.widths.full": "full",
  "designer.widths.part": "%{n} of %{of}",
  "designer.keys.move": "move",
  "designer.keys.width": "width",
  "designer.keys.remove": "remove",
  "dragging.how": "Press Space to lift it, move it with the arrow keys, and press Space again to drop it. Esc cancels.",
  "dragging.over": "Over position %{place}",
  "dragging.dropped": "Dropped",
  "dragging.cancelled": "Cancelled",
  "map.edge": "%{from} to %{to}",
  "map.controls.title": "Zoom",
  "map.controls.in": "Zoom in",
  "map.controls.out": "Zoom out",
  "map.controls.fit": "Show everything",
  "map.controls.node": "Press Enter to see what it depends on and what it affects.",
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
  "map.aim": "Rules run left to right. Select a field or rule to see what it depends on and what it affects.",
  "map.withChecks": "Show all rules",
  "map.list": "List",
  "map.graph": "Graph",
  "map.find": "Find a field or rule",
  "map.feeds": "Depends on",
  "map.follows": "Affects",
  "map.writes": "Set by",
  "map.checks": "Checked by",
  "map.reads": "Uses",
  "map.sets": "Sets",
  "map.byHand": "People enter it; no rule sets it.",
  "map.openRule": "Open the rule",
  "map.openField": "Open the field",
  "map.onMap": "Show on the map",
  "map.clear": "Show everything",
  "map.before": "the value before the save",
  "map.place": "order: %{n}",
  "map.empty": "Nothing to draw yet. Pin a rule first.",
  "sheet.title": "Rule sheet · %{project}",
  "sheet.aim": "What each field is and which rules apply to it, in plain sentences.",
  "sheet.print": "Print",
  "sheet.name": "Rule sheet",
  "sheet.markdown": "Markdown",
  "sheet.shown.state": "%{state}, %{seen} of %{of} cases covered",
  "sheet.shown.more": "%{n} more",
  "writers.title": "What sets %{label} in %{table}?",
  "writers.key": "F8",
  "writers.none": "Point at a field, or put the cursor into one, then press F8.",
  "formula.before": "before:",
  "formula.outside": "outside:",
  "pieces.wayOfWriting": "How to write it",
  "pieces.typed": "Text",
  "pieces.together": "Blocks",
  "pieces.cannotShow": "This formula can't be shown as blocks; edit it as text.",
  "pieces.shape": "Result",
  "pieces.shapes.text": "Joined text",
  "pieces.shapes.choice": "One text or another",
  "pieces.shapes.condition": "Condition",
  "pieces.textName": "Joined in this order",
  "pieces.ifName": "If",
  "pieces.thenName": "then",
  "pieces.elseName": "otherwise",
  "pieces.conditionName": "Conditions",
  "pieces.nothing": "Nothing (blank)",
  "pieces.addField": "Field",
  "pieces.addText": "Fixed text",
  "pieces.addTest": "Test",
  "pieces.field": "Field",
  "pieces.text": "Fixed text",
  "pieces.pickField": "Choose a field",
  "pieces.person": "Person signed in",
  "pieces.whenFilled": "only when filled",
  "pieces.before": "before it",
  "pieces.after": "after it",
  "pieces.earlier": "Move to the left",
  "pieces.later": "Move to the right",
  "pieces.remove": "Remove",
  "pieces.match": "Match",
  "pieces.all": "all",
  "pieces.any": "any",
  "pieces.relation": "Comparison",
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
  "filter.keep": "Save",
  "filter.searched": "Shows records that contain “%{text}” in any field.",
  "filter.searchAim": "Enter a condition, or any text to find it in all fields.",
  "language.title": "The formula language",
  "language.link": "All operators and functions",
  "language.aim": "Refer to fields by key and combine them with operators and functions. If a value is blank, the result is blank. Text comparison ignores case.",
  "language.signs": "Operators and keywords",
  "language.lines.fields": "fields by key; type any part of the name and choose",
  "language.lines.links": "along a link, to a field of the linked record",
  "language.lines.old": "the value before this save; whether it changes; whether the record is new",
  "language.lines.user": "the person signed in",
  "language.lines.literals": "fixed values; double a quote inside a text",
  "language.lines.sums": "exact decimal arithmetic; a date plus a number moves it by days, and one date minus another is a number of days",
  "language.lines.join": "joins as text; blank joins as nothing",
  "language.lines.comparisons": "comparisons; also: between a and b, in (a, b), contains, starts with, ends with, is blank, is not blank, fits \"mask\"",
  "language.lines.conditions": "conditions; a blank condition counts as false",
  "language.lines.if": "one or another",
  "language.lines.totals": "one value from the records that link here; this.x is the outer record",
  "language.lines.remark": "a comment, to the end of the line",
  "grid.open": "Open %{title}",
  "grid.pick": "Select record %{n}",
  "grid.pickAll": "Select all",
  "grid.newRow": "new",
  "grid.columns": "Columns",
  "grid.columnsAim": "Drag to reorder. Frozen columns stay visible.",
  "grid.hold": "Freeze %{label}",
  "grid.release": "Unfreeze %{label}",
  "grid.showColumn": "Show %{label}",
  "grid.moveColumn": "Move %{label}",
  "grid.usual": "Reset columns",
  "grid.width": "Width of %{label}",
  "grid.sortBy": "Sort by %{label} (Shift: add to current sort)",
  "grid.sorted": "sorted, position %{place}",
  "grid.total": "Total of %{label}",
  "grid.totals.filled": "filled",
  "grid.totals.blank": "blank",
  "grid.totals.sum": "sum",
  "grid.totals.average": "average",
  "grid.totals.least": "min",
  "grid.totals.greatest": "max",
  "grid.noTotal": "no total",
  "grid.hint": "F2 or type to edit · Tab: next cell · Ctrl D: fill down · Ctrl F: find · Ctrl Z: undo · F8: which rules set this field",
  "grid.keepView": "Save view",
  "grid.viewName": "View name",
  "grid.kept": "View saved: %{name}",
  "grid.dropView": "Delete view %{name}",
  "grid.byRule": "set by a rule",
  "grid.why": "Why is this blank?",
  "grid.whyNot": "No rule explains this; the field was never filled in.",
  "grid.copied_one": "1 cell copied.",
  "grid.copied_other": "%{count, number} cells copied.",
  "grid.tooMuch": "You can copy, paste or clear up to 5,000 rows at once. For more, export and import.",
  "grid.emptyRow": "Type a new record here",
  "grid.nothingChanged": "Nothing changed: the cells already have these values.",
  "grid.nothingTyped": "Nothing entered, so no record was created.",
  "grid.gaveUp": "Changes discarded. The row is as it was saved.",
  "grid.find": "Find in all records",
  "grid.findOn": "Next (Enter)",
  "grid.findBack": "Previous (Shift Enter)",
  "grid.findClose": "Close (Esc)",
  "grid.findAim": "Enter: next match. Shift Enter: previous.",
  "grid.found_one": "1 record",
  "grid.found_other": "Record %{n, number} of %{count, number}",
  "grid.foundNone": "No record in this view contains “%{text}”.",
  "grid.nothingToRedo": "Nothing to redo.",
  "grid.waitingPlace": "%{n, number} of %{of, number}",
  "grid.waitingNext": "Next",
  "grid.waitingBefore": "Previous",
  "grid.waitingShow": "Show it",
  "grid.nothingToUndo": "Nothing to undo.",
  "grid.pasting": "Pasting…",
  "grid.waiting_one": "1 row needs fixing",
  "grid.waiting_other": "%{count, number} rows need fixing",
  "grid.waitingAim": "Rows that weren't saved stay here until you fix or discard them.",
  "grid.retry": "Try all again",
  "grid.leaveAllOut": "Discard all",
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
  "bulk.picked_one": "1 selected",
  "bulk.picked_other": "%{count, number} selected",
  "bulk.allOf": "Select all %{n, number} that match",
  "bulk.unpick": "Clear selection",
  "bulk.change": "Change a field",
  "bulk.copy": "Copy",
  "bulk.number": "Assign numbers",
  "bulk.tidy": "Clean up",
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
  "bulk.becomes": "New value",
  "bulk.blank": "Leave empty to clear the field.",
  "bulk.looking": "Checking each record …",
  "bulk.refusedBy": "Refused",
  "bulk.noRule": "invalid value, or the record was deleted",
  "bulk.what": "Preview of the changes",
  "bulk.oneEntry": "Saved as one entry in History; you can undo it as a whole.",
  "bulk.nothing": "Nothing to change",
  "bulk.done_one": "Done: 1 record.",
  "bulk.done_other": "Done: %{count, number} records.",
  "bulk.takeBack": "Undo",
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
  "imports.title": "Import into %{table}",
  "imports.newTitle": "New table from file",
  "imports.newLink": "New table from file",
  "imports.aim": "You'll see a preview before anything is saved.",
  "imports.drop": "Drop a file here",
  "imports.or": "or choose one",
  "imports.formats": "CSV, XLSX, ODS, JSON or JSON Lines, of any size up to 1 GB",
  "imports.databases": "For several tables at once: SQLite, SQL, or a ZIP of such files or of a data package",
  "imports.severalTitle": "Tables from file",
  "imports.severalNote": "Choose what you want, then preview it. Nothing is saved until you import. The tables are one change of the design and their records one entry in History; you can undo both.",
  "imports.lookingAtTables": "Reading the tables…",
  "imports.tables": "Tables of the file",
  "imports.tableCount_one": "1 table",
  "imports.tableCount_other": "%{count, number} tables",
  "imports.fieldCount_one": "1 field",
  "imports.fieldCount_other": "%{count, number} fields",
  "imports.noteCount_one": "1 note",
  "imports.noteCount_other": "%{count, number} notes",
  "imports.take": "Import %{table}",
  "imports.calledThere": "In the file: %{name}",
  "imports.rulesThere": "Rules",
  "imports.rulesOfTable": "Rules over several fields",
  "imports.oneSheet": "Only the sheet “%{sheet}” is read.",
  "imports.allSheets_one": "All sheets as tables",
  "imports.allSheets_other": "All %{count} sheets as tables",
  "imports.saveTables_one": "Import 1 table",
  "imports.saveTables_other": "Import %{count, number} tables",
  "imports.oneEntryEach": "Saved as one entry in History; you can undo it as a whole.",
  "imports.sending": "Uploading: %{percent} %",
  "imports.another": "Another file",
  "imports.reading": "How it is read",
  "imports.sheet": "Sheet",
  "imports.heading": "Column names",
  "imports.noHeading": "none, only records",
  "imports.headingRow": "in row %{row}",
  "imports.delimiter": "Cells separated by",
  "imports.divided.,": "commas",
  "imports.divided.;": "semicolons",
  "imports.divided.\t": "tabs",
  "imports.divided.|": "bars",
  "imports.encodingOf": "Encoding",
  "imports.firstRows": "The first rows as they are read",
  "imports.rowNumber": "Row",
  "imports.column": "Column in the file",
  "imports.shows": "Sample values",
  "imports.field": "Field",
  "imports.leftOut": "don't import",
  "imports.columnsLeftOut_one": "1 column is left out: %{columns}. Choose a field for it above to import it.",
  "imports.columnsLeftOut_other": "%{count, number} columns are left out: %{columns}. Choose fields for them above to import them.",
  "imports.setAgain": "Rules set these fields again: %{columns}.",
  "imports.setByRule": "set by a rule",
  "imports.asWas": "Import as it was",
  "imports.asWasNote": "Stamps, tallies and log lines come from the file. History says so. What is calculated is always calculated.",
  "imports.round": "round to 15 digits",
  "imports.nothing": "NA, NULL and - are blank",
  "imports.readAs": "Read as",
  "imports.orders.dmy": "day, month, year",
  "imports.orders.mdy": "month, day, year",
  "imports.orders.ymd": "year, month, day",
  "imports.marks..": "1,234.56",
  "imports.marks.,": "1.234,56",
  "imports.match": "Existing records",
  "imports.matchNone": "Add every row as a new record",
  "imports.matchBy": "Update records with the same %{label}, add the rest",
  "imports.blanks": "Blank cells",
  "imports.blanksLeft": "keep existing values and apply defaults",
  "imports.blanksKept": "clear the field",
  "imports.tryIt": "Preview",
  "imports.tryAgain": "Preview again",
  "imports.would": "Preview – nothing saved yet:",
  "imports.was": "Import finished:",
  "imports.row": "row %{n, number}",
  "imports.byRule": "Refused by",
  "imports.unreadable": "Invalid value, or a linked record that is missing or ambiguous",
  "imports.rows": "Refused rows",
  "imports.saveAll_one": "Import 1 row",
  "imports.saveAll_other": "Import all %{count, number} rows",
  "imports.savePassing_one": "Import the 1 that passes",
  "imports.savePassing_other": "Import the %{count, number} that pass",
  "imports.getRefused": "Download refused rows",
  "imports.mend": "Fix the rows in that file and import it again. The “Up Tack says” column is ignored.",
  "imports.oneEntry": "Saved as one entry in History; you can undo it as a whole.",
  "imports.takeBack": "Undo import",
  "imports.toRecords": "Go to records",
  "imports.done_one": "1 record saved.",
  "imports.done_other": "%{count, number} records saved.",
  "imports.tableName": "Table name",
  "imports.type": "Type",
  "imports.linkTo": "Link to %{table}",
  "imports.rules": "Suggested rules",
  "imports.noRules": "none",
  "imports.lookedAtAll_one": "Suggested from the only row.",
  "imports.lookedAtAll_other": "Suggested from all %{count, number} rows. Every value complies.",
  "imports.lookedAt": "Suggested from the first %{looked, number} of about %{rows, number} rows.",
  "imports.lookingAtAll": "Looking at all rows …",
  "imports.lookAtAll": "Look at all rows",
  "imports.noChoices": "no choices yet",
  "imports.editChoices": "Edit",
  "imports.editChoicesOf": "Edit choices: %{column}",
  "imports.choicesOf": "Choices: %{column}",
  "imports.oneALine": "One choice a line",
  "imports.doneChoices": "Done",
  "imports.more_one": "and 1 more",
  "imports.more_other": "and %{count, number} more",
  "imports.leaveOff": "Leave this rule off",
  "imports.refusedBy_one": "1 row is refused: %{rule}",
  "imports.refusedBy_other": "%{count, number} rows are refused: %{rule}",
  "imports.fixed": "Done. Preview again.",
  "imports.notChoices": "Not yet choices of %{field}: %{texts}",
  "imports.addThese_one": "Add it to the choices",
  "imports.addThese_other": "Add them to the choices",
  "imports.leftOff": "Rule deleted: %{rule}",
  "imports.make": "Create table",
  "imports.makeNote": "You can change fields and rules at any time. The records are imported next.",
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
  "imports.samples_zero": "Preview of the rows",
  "imports.samples_one": "Preview of the rows that pass",
  "imports.samples_other": "Preview of the rows that pass",
  "exports.link": "Export",
  "exports.formats.csv": "CSV",
  "exports.formats.xlsx": "XLSX",
  "exports.formats.json": "JSON",
  "exports.formats.jsonl": "JSON Lines",
  "exports.feeds": "For calendars and address books",
  "exports.calendar": "Calendar of %{field}",
  "exports.contacts": "Contacts as vCards",
  "exports.feedsNote": "A calendar program can also subscribe to these, with a token of the role reader.",
  "exports.feedsLink": "How to subscribe",
  "exports.schema": "JSON Schema of this table",
  "exports.note": "Text that a spreadsheet would read as a formula gets a leading '. It is removed when you import the file again.",
  "exports.all": "All tables with their records",
  "exports.allAim": "For use in other programs. Rules are included as far as each format supports them.",
  "exports.sql": "SQL for SQLite",
  "exports.postgresql": "SQL for PostgreSQL",
  "exports.sqlite": "SQLite file",
  "exports.package": "Data package",
  "exports.shown": "Current view: %{records}, %{columns}",
  "exports.whole": "Whole table: %{records}, %{columns}",
  "exports.records_one": "1 record",
  "exports.records_other": "%{count, number} records",
  "exports.columns_one": "1 column",
  "exports.columns_other": "%{count, number} columns",
  "numbering.formula": "Number format",
  "numbering.formulaHint": "counter(5) is the count with five digits, as in \"PC-\" & counter(5).",
  "numbering.start": "Start at",
  "numbering.step": "Increase by",
  "numbering.series": "Restart numbering for each",
  "numbering.byHand": "Allow entering a different number by hand",
  "numbering.follow": "Update the number when fields it is built from change",
  "numbering.counts": "Current counters",
  "numbering.one": "All records",
  "numbering.next": "next",
  "numbering.highest": "highest so far: %{n};",
  "numbering.set": "Set",
  "numbering.waiting_one": "1 record has no number",
  "numbering.waiting_other": "%{count, number} records have no number",
  "numbering.order": "Order by",
  "numbering.asMade": "creation",
  "numbering.descending": "newest first",
  "numbering.andMore": "and %{n, number} more",
  "numbering.give_one": "Assign a number to 1 record",
  "numbering.give_other": "Assign numbers to %{count, number} records",
  "numbering.given_one": "1 number assigned.",
  "numbering.given_other": "%{count, number} numbers assigned.",
  "numbering.left__one": "1 record was refused by another rule.",
  "numbering.left__other": "%{count} records were refused by other rules.",
  "numbering.opening": "A blank new record would get",
  "numbering.pending": "next",
  "numbering.left": "%{n, number} left at this length",
  "numbering.past": "past this length",
  "numbering.effect_zero": "Every record has a number.",
  "numbering.effect_one": "1 record has no number until you assign one.",
  "numbering.effect_other": "%{count, number} records have no number until you assign them.",
  "logging.event": "Event",
  "logging.events.madeOn": "Created on",
  "logging.events.madeBy": "Created by",
  "logging.events.changedOn": "Last changed on",
  "logging.events.changedBy": "Last changed by",
  "logging.events.reached": "A condition becomes true",
  "logging.events.ticked": "A box is ticked",
  "logging.events.changed": "A field changes",
  "logging.which": "Which time",
  "logging.first": "The first time",
  "logging.last": "The last time",
  "logging.clears": "Clear when the condition is no longer true",
  "logging.when": "When this becomes true",
  "logging.watch": "Trigger fields",
  "logging.anyField": "None selected: a change to any field counts, except fields set at this stage.",
  "logging.onlyThese": "Only these count.",
  "logging.stampHint": "Set automatically when it happens (form, grid, import or API). Nobody can edit it.",
  "logging.tallyHint": "Counts the saves after the first. Fields set at this stage don't count.",
  "logging.tick": "Yes/no field",
  "logging.pickTick": "Choose a yes/no field",
  "logging.says": "Text of the line",
  "logging.pattern": "Date and time format",
  "logging.patternHint": "d MMM yyyy, HH:mm is 23 Nov 2026, 09:30. Leave empty to omit.",
  "logging.lineHint": "Each line is added at the end and never changes. The field's display format can show newest first.",
  "logging.unknown": "%{n, number} stay blank: not recorded in the change log.",
  "logging.lines": "Lines are written from now on; existing records stay as they are.",
  "logging.all": "All fields",
  "logging.only": "Only selected fields",
  "logging.all_but": "All except selected fields",
  "logging.watched": "Fields to log",
  "logging.watchHint": "Every save is logged. Old and new values are recorded for these fields only.",
  "logging.filled_zero": "The change log can fill none of the %{total} records.",
  "logging.filled_one": "Filled from the change log in 1 of %{total} records.",
  "logging.filled_other": "Filled from the change log in %{count} of %{total} records.",
  "signIn.title": "Sign in",
  "signIn.aim": "Sign in to enter records or manage rules.",
  "signIn.name": "Sign-in name",
  "signIn.password": "Password",
  "signIn.submit": "Sign in",
  "signIn.demo": "Try the demo as",
  "signIn.demoAim": "One click, no password.",
  "signIn.does.builder": "designs everything",
  "signIn.does.clerk": "enters records",
  "signIn.does.reader": "views records",
  "signIn.setUp": "Set up your project",
  "signIn.setUpAim": "Name it and create the first builder account. You can add people later.",
  "signIn.firstBuilder": "Project and first builder",
  "signIn.project": "Project name",
  "signIn.zone": "Time zone",
  "signIn.begin": "Create project",
  "people.title": "People",
  "people.aim": "Who works here, and what each may do.",
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
  "people.does.builder": "designs tables, rules and forms; may do everything",
  "people.does.clerk": "creates, edits and deletes records where allowed; reviews suggestions",
  "people.does.reader": "views records and their history",
  "people.active": "active",
  "people.inactive": "inactive, can't sign in",
  "people.noPassword": "active, no password yet",
  "people.maySignIn": "Active: can sign in",
  "people.setPassword": "Set a password",
  "people.leaveBlank": "Leave blank to keep the current password.",
  "people.passwordHint": "At least 10 characters. Several words in a row are easy to remember.",
  "people.kept": "%{name} saved",
  "people.note": "People can't be deleted because the change log names them. A person who becomes inactive is signed out at once.",
  "people.ownPassword": "Change my password",
  "people.oldPassword": "Current password",
  "people.newPassword": "New password",
  "people.changePassword": "Change password",
  "people.passwordChanged": "Password changed. Other browsers are signed out.",
  "people.signOut": "Sign out",
  "people.signOutAsk": "Sign out and delete unsaved entries?",
  "people.signOutDo": "Delete them and sign out",
  "people.signOutLoses_one": "1 entry in this browser is not saved. Cancel to save it first.",
  "people.signOutLoses_other": "%{count} entries in this browser are not saved. Cancel to save them first.",
  "people.signedInAs": "Signed in as",
  "access.title": "Permissions",
  "access.table": "Permissions for this table",
  "access.field": "Permissions for this field",
  "access.builders": "Builders may do everything.",
  "access.usual": "default",
  "access.tableLevels.nothing": "No access",
  "access.tableLevels.see": "View",
  "access.tableLevels.edit": "View and edit",
  "access.tableLevels.delete": "View, edit and delete",
  "access.fieldLevels.nothing": "No access",
  "access.fieldLevels.see": "View",
  "access.fieldLevels.edit": "View and edit",
  "access.readOnlyTable": "You are signed in as a %{role}. You can view these records but not change them.",
  "access.readOnlyBoard": "You can view the rules. Builders can change them.",
  "project.name": "Project file",
  "project.title": "Project file",
  "project.aim": "All tables, fields, rules, forms, lists and proofs, and people with their roles, as readable text. Records and passwords are not included.",
  "project.out": "Export",
  "project.in": "Import …",
  "project.of": "Importing %{name}",
  "project.refused_one": "Import failed: 1 error.",
  "project.refused_other": "Import failed: %{count} errors.",
  "project.same": "No changes: the project already matches this file.",
  "project.counts_one": "Adds 1 item, changes %{changed}, deletes none. Time zone and formats stay. You can undo the import in one step.",
  "project.counts_other": "Adds %{count} items, changes %{changed}, deletes none. Time zone and formats stay. You can undo the import in one step.",
  "project.loses_one": "1 value of %{field} can't be converted to the new type.",
  "project.loses_other": "%{count} values of %{field} can't be converted to the new type.",
  "project.people": "New people, who can sign in once they have a password: %{names}.",
  "project.changes": "changes",
  "project.adds": "adds",
  "project.bringIn": "Import",
  "project.done": "Imported: %{name}",
  "bench.setup": "Setup",
  "bench.aim": "Your real records are not changed.",
  "bench.begin": "Start from",
  "bench.newRecord": "a new record",
  "bench.copyOf": "a copy of",
  "bench.realOne": "an existing record",
  "bench.ownOne": "one of its own records",
  "bench.whichRecord": "Which record",
  "bench.form": "Form",
  "bench.noForm": "all fields, no form",
  "bench.person": "Signed in as",
  "bench.starts.copy": "a copy",
  "bench.starts.real": "an existing record",
  "bench.as": "as %{name}",
  "bench.nobody": "Nobody",
  "bench.clock": "Date and time",
  "bench.realClock": "now",
  "bench.pretend": "simulated date",
  "bench.backToNow": "use current time",
  "bench.manner": "Entry",
  "bench.oneByOne": "one field at a time",
  "bench.atOnce": "all at once",
  "bench.trial": "Trial record",
  "bench.refusals_one": "1 rule refuses this record. Your entries are kept.",
  "bench.refusals_other": "%{count} rules refuse this record. Your entries are kept.",
  "bench.keep": "Save as proof",
  "bench.trace": "Trace",
  "bench.typedStage": "Entered",
  "bench.nothingHere": "no rule runs",
  "bench.nothingWritten": "nothing is stored because the record is refused",
  "bench.clear": "Start over",
  "bench.passed": "passes",
  "bench.skipped": "skipped: its fields were not changed",
  "bench.blank": "blank",
  "bench.rule": "Open the rule",
  "bench.unfold": "show calculation",
  "bench.whyShort": "why?",
  "bench.why": "Why does %{field} have this value?",
  "bench.whyBlank": "Why is %{field} blank?",
  "bench.acts": "Actions",
  "bench.typedCount": "%{n} entered",
  "bench.takeBack": "Undo",
  "bench.save": "Save",
  "bench.copy": "Copy",
  "bench.remove": "Delete",
  "bench.putBack": "Restore",
  "bench.another": "Another %{one}",
  "bench.leaveOpen": "Wait …",
  "bench.leaveOpenHint": "Simulates leaving the form open while time passes.",
  "bench.days": "Days",
  "bench.hours": "Hours",
  "bench.wait": "Wait",
  "bench.outcome.wouldBeRefused": "Would be refused",
  "bench.outcome.refused": "Refused",
  "bench.outcome.deleted": "Deleted",
  "bench.outcome.back": "Restored",
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
  "bench.did.notRestored": "not restored",
  "bench.did.restored": "restored",
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
  "proofs.states.untried": "no proof",
  "proofs.states.broken": "broken",
  "proofs.states.passed": "passed",
  "proofs.states.unfit": "can't run",
  "proofs.states.waiting": "queued",
  "proofs.running": "%{done} of %{of} proofs run",
  "proofs.runAll": "Run all",
  "proofs.empty": "No proofs yet. Try a record, then save it with its expected result.",
  "proofs.suggest": "Suggest edge cases",
  "proofs.missingTitle": "Cases without a proof in %{table}",
  "proofs.allSeen": "A proof covers every case of this table's rules.",
  "proofs.make": "Create the record",
  "proofs.seenOf": "%{n} of %{of} cases covered",
  "proofs.differs": "expected that %{expected}; %{actual}",
  "proofs.but": "but %{actual}",
  "proofs.expects": "Expected result",
  "proofs.firstStep": "First difference from the last passing run (%{stage}, %{field}):",
  "proofs.noStep": "no such step",
  "proofs.change": "Change",
  "proofs.drop": "Delete proof",
  "proofs.dropped": "Proof deleted: %{name}",
  "proofs.putAside": "Close",
  "proofs.keepTitle": "Save as proof",
  "proofs.changeTitle": "Change proof",
  "proofs.name": "Name",
  "proofs.namePlaceholder": "for example: a value just above the maximum is refused",
  "proofs.group": "Group",
  "proofs.groupPlaceholder": "none",
  "proofs.note": "Note",
  "proofs.notePlaceholder": "For whoever reads this in a year",
  "proofs.must": "Expected result",
  "proofs.nothingExpected": "Add at least one expectation.",
  "proofs.expectMore": "Add expectation",
  "proofs.alsoSeen_one": "1 more result",
  "proofs.alsoSeen_other": "%{count} more results",
  "proofs.bringsHint": "The proof uses only these records, so real data never affects the result. Links show record numbers.",
  "proofs.bringMore": "Add a record …",
  "proofs.leaveOut": "Remove %{name}",
  "proofs.fillMore": "Fill another field of %{name}",
  "proofs.fillOther": "another field …",
  "proofs.atEnd": "at the end",
  "proofs.afterAct": "after action %{n}",
  "proofs.when": "When",
  "proofs.keepIt": "Save proof",
  "proofs.saveChange": "Save proof",
  "proofs.kept": "Proof saved: %{name}",
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
  "proofs.expectation.remove": "Remove this expectation",
  "proofs.expectation.yes": "Yes",
  "proofs.expectation.no": "No",
  "proofs.expectation.kinds.saved": "it is saved",
  "proofs.expectation.kinds.refused": "it is refused",
  "proofs.expectation.kinds.deleted": "it is deleted",
  "proofs.expectation.kinds.value": "a value",
  "proofs.expectation.kinds.state": "a field's state",
  "proofs.expectation.kinds.number": "a number's format",
  "proofs.expectation.kinds.logged": "a log line",
  "proofs.expectation.kinds.unlogged": "no log line",
  "proofs.expectation.kinds.cursor": "the cursor goes",
  "proofs.expectation.states.shown": "visible",
  "proofs.expectation.states.hidden": "hidden",
  "proofs.expectation.states.open": "editable",
  "proofs.expectation.states.closed": "not editable",
  "proofs.expectation.states.required": "required",
  "proofs.expectation.states.optional": "optional",
  "proofs.expectation.states.read_only": "read-only",
  "proofs.expectation.states.writable": "not read-only",
  "proofs.wouldBreak_one": "1 proof would break:",
  "proofs.wouldBreak_other": "%{count} proofs would break:",
  "proofs.wouldMend_one": "1 broken proof would pass:",
  "proofs.wouldMend_other": "%{count} broken proofs would pass:",
  "proofs.breaksNone_one": "The 1 affected proof passes.",
  "proofs.breaksNone_other": "All %{count} affected proofs pass.",
  "proofs.noneConcerned": "No proof is affected.",
  "proofs.ofRule": "Proofs",
  "proofs.unseen": "Not covered yet:",
  "proofs.more": "and %{n} more",
  "proofs.covered_one": "%{count} of %{of} rules proven.",
  "proofs.covered_other": "%{count} of %{of} rules proven.",
  "proofs.missing_zero": "All cases covered",
  "proofs.missing_one": "1 case not covered",
  "proofs.missing_other": "%{count} cases not covered",
  "proofs.brings_zero": "No own records",
  "proofs.brings_one": "1 own record",
  "proofs.brings_other": "%{count} own records",
  "proofs.seenBy_zero": "No proof covers this rule.",
  "proofs.seenBy_one": "1 proof covers this rule.",
  "proofs.seenBy_other": "%{count} proofs cover this rule.",
  "proofs.board": "%{proven} of %{of} rules proven",
  "proofs.boardBroken": "%{proven} of %{of} rules proven, %{broken} broken",
  "mistakes.title": "Mistakes that no proof notices in %{table}",
  "mistakes.aim": "Each rule was changed slightly, as a slip would: an operator, a limit, a choice, a setting. These changes break no proof.",
  "mistakes.counting": "Trying small mistakes: %{done} of %{total} rules",
  "mistakes.waiting": "Small mistakes are tried once the proofs have run.",
  "mistakes.noticed": "Your proofs notice %{noticed} of %{tried} small mistakes in your rules.",
  "mistakes.failed": "Small mistakes couldn't be tried. Run the proofs again.",
  "mistakes.slipping_one": "Show the 1 that no proof notices",
  "mistakes.slipping_other": "Show the %{count} that no proof notices",
  "mistakes.make": "Create the record",
  "mistakes.making": "Looking for a record …",
  "mistakes.none": "No record shows the difference. With your other rules, this change may make none.",
  "mistakes.nothing": "Your proofs notice every mistake.",
  "mistakes.harmless_one": "1 more change makes no difference; show why",
  "mistakes.harmless_other": "%{count} more changes make no difference; show why",
  "mistakes.group": "Small mistakes",
  "edges.tryRule": "Try it",
  "edges.tryShow": "Try edge cases",
  "edges.tryHide": "Hide",
  "edges.setsNothing": "The rule sets nothing here.",
  "edges.tryAim": "This rule, tried on generated records at its limits. Nothing is saved.",
  "edges.tryNone": "This rule has no edge cases.",
  "edges.cameOut": "Result: %{values}",
  "edges.title": "Edge cases for %{table}",
  "edges.aim": "Generated from your rules. Confirm whether each result is what you want; confirmed cases become proofs.",
  "edges.which": "Which",
  "edges.open": "not covered by a proof",
  "edges.all": "all edge cases",
  "edges.count_one": "1 edge case",
  "edges.count_other": "%{count} edge cases",
  "edges.allRight": "Mark all correct",
  "edges.unsound": "No generated record passes all rules, so these start from a refused one.",
  "edges.none": "No suggestions: proofs already cover every case that can be generated.",
  "edges.right": "Correct",
  "edges.mustSave": "Should be saved",
  "edges.mustRefuse": "Should be refused",
  "edges.leave": "Skip",
  "edges.saved": "is saved",
  "edges.look": "open on the bench",
  "edges.keep_one": "Save 1 proof",
  "edges.keep_other": "Save %{count} proofs",
  "edges.kept_one": "1 proof saved",
  "edges.kept_other": "%{count} proofs saved",
  "edges.group": "Edge cases",
  "edges.typed": "%{label}: %{value} entered",
  "edges.leftBlank": "%{label} is left blank",
  "edges.refused": "is refused: %{messages}",
  "samples.atSize": "%{n, number}, to try the grid at size",
  "samples.name": "Sample records",
  "samples.title": "Sample records for %{table}",
  "samples.aim": "Generates realistic sample records. You can remove them all in one step.",
  "samples.which": "Which",
  "samples.pass": "that pass the rules",
  "samples.fail": "that one rule refuses",
  "samples.count": "How many",
  "samples.seed": "Seed",
  "samples.seedHint": "The same seed gives the same records.",
  "samples.make": "Create samples",
  "samples.show": "Show samples",
  "samples.rule": "Rule that refuses them",
  "samples.made": "%{n, number} sample records created",
  "samples.there": "Existing sample records",
  "samples.takeOut": "Remove",
  "samples.takenOut": "Removed.",
  "samples.noneFails": "No record was found that only this rule refuses.",
  "samples.download": "CSV",
  "samples.failing": "%{n} records that are refused: %{message} None of them is saved.",
  "samples.failingSome": "%{n} of %{wanted} records that are refused: %{message} None of them is saved.",
  "form.save": "Save",
  "form.saveNext": "Save and next",
  "form.remove": "Delete",
  "form.copyNew": "New record",
  "form.saved": "Saved: %{title}",
  "form.unchanged": "No changes to save.",
  "form.saving": "Saving …",
  "form.nothingTyped": "Nothing entered, so nothing was saved.",
  "form.notSavedBefore": "The record you left was not saved. %{why}",
  "form.openDraft": "Open it",
  "form.openAddress": "Open %{text}",
  "form.silent": "The server doesn't respond. Your record is kept here and sent again until it does.",
  "form.typeOn": "Keep typing; the next field follows",
  "form.held": "Typed ahead:",
  "form.aside": "For the next record:",
  "form.unplaced": "Typed but not entered:",
  "form.dropAside": "Discard",
  "form.astray": "“%{text}” was typed outside a field. Choose a field first.",
  "form.noPlace": "“%{key}” doesn't fit: this field takes up to %{most} characters.",
  "form.elsewhere": "%{label} is not on this form.",
  "form.openAll": "Open with all fields",
  "form.deleted": "Deleted: %{title}",
  "form.removeTitle": "Delete %{title}?",
  "form.removeText": "Its values stay in History, and you can restore it from there.",
  "form.refused_one": "Not saved. Fix 1 problem.",
  "form.refused_other": "Not saved. Fix %{count} problems.",
  "form.stillHere": "Your entries are kept. Correct the fields below and save again.",
  "form.restored": "Your unsaved entries were restored.",
  "form.startOver": "Start over",
  "form.typed": "entered",
  "form.blank": "",
  "form.history": "History of this record",
  "form.copy": "Copy",
  "form.given": "set by a rule",
  "form.closed": "not editable at the moment",
  "form.required": "required",
  "form.conflictTitle": "Someone else changed this record while you were editing it",
  "form.changedBy": "%{person} changed this record in the meantime.",
  "form.compare": "Compare and choose",
  "form.compareKey": "Ctrl S also opens it. Nothing has been overwritten, and your entries are kept.",
  "form.conflictText": "Choose which value to keep for each field. Nothing has been overwritten.",
  "form.before": "Original",
  "form.theirs": "Their change",
  "form.mine": "Your change",
  "form.by": "changed by %{person}",
  "form.merge": "Save selected values",
  "form.pickDay": "Choose a day",
  "form.noChoice": "",
  "form.linkedHere": "Linked here",
  "form.retired": "%{choice} (retired)",
  "form.makeAndPick": "Create and select",
  "form.passWith": "Save anyway – reason",
  "form.reason": "Reason (recorded in History)",
  "form.passable": "Warning only: you can save anyway if you give a reason.",
  "form.tooMuchPasted": "Not pasted: the text has %{n, number} characters; this field takes up to %{most}. The field is unchanged.",
  "form.noMatch": "No matching record.",
  "form.twins": "More than one record has this name. Choose one with the arrow keys.",
  "form.cantRemove": "%{title} can't be deleted",
  "form.needed": "Other records link to it. Delete them or change their link first.",
  "form.along_one": "This also deletes 1 record in %{table}.",
  "form.along_other": "This also deletes %{count} records in %{table}.",
  "form.cleared_one": "This also clears %{field} in 1 record of %{table}.",
  "form.cleared_other": "This also clears %{field} in %{count} records of %{table}.",
  "form.gone": "This record no longer exists.",
  "form.noFields": "This table has no fields yet.",
  "form.addFields": "Add fields on the board",
  "form.moveOn": "next field",
  "form.newTitle": "New %{one}",
  "form.spokenFilled": "%{label} set by a rule: %{text}.",
  "form.spokenBlank": "%{label} cleared by a rule.",
  "form.noChoiceBegins": "No choice starts with “%{text}”. Choices: %{choices}.",
  "form.makeNew": "Create “%{text}”",
  "form.makeNewOne": "Create new record",
  "records.add": "New",
  "records.empty": "No records yet.",
  "records.emptyTyped": "No records yet. Type the first one in the row below, or paste rows from a spreadsheet.",
  "records.addFirst": "Add the first record",
  "records.number": "#",
  "records.notTyped": "%{label} is set by a rule, or you don't have permission to edit it. Press F8 to see which rule.",
  "records.filtered": "%{n, number} of %{total, number} records match",
  "records.noMatch": "No record matches this filter.",
  "records.cellRefused": "Not saved. Press Esc to restore the old value.",
  "records.yes": "Yes",
  "records.no": "No",
  "records.clash": "%{person} changed it to “%{text}” in the meantime. Press Enter on the cell to choose.",
  "records.clashBlank": "%{person} cleared it in the meantime. Press Enter on the cell to choose.",
  "records.shown_one": "1 record",
  "records.shown_other": "%{count, number} records",
  "records.shownSome": "%{n, number} of %{total, number} records",
  "history.design": "Design",
  "history.aim": "Every save is one entry. Entries can't be changed or deleted.",
  "history.designAim": "Every change of tables, fields and rules. You can restore each state.",
  "history.verbs.create": "created",
  "history.verbs.update": "changed",
  "history.verbs.delete": "deleted",
  "history.verbs.restore": "restored",
  "history.verbs.restored": "",
  "history.channels.form": "form",
  "history.channels.grid": "grid",
  "history.channels.api": "API",
  "history.channels.bulk": "bulk change",
  "history.channels.tidy": "clean-up",
  "history.channels.numbers": "numbers assigned",
  "history.channels.import": "import",
  "history.channels.import as it was": "import as it was",
  "history.channels.made up": "generated",
  "history.channels.put back": "restored",
  "history.channels.backup": "",
  "history.channels.rule": "rule",
  "history.everything": "All tables",
  "history.filter": "Filter entries",
  "history.person": "Person",
  "history.field": "Field",
  "history.rule": "Rule",
  "history.channel": "Source",
  "history.from": "From",
  "history.to": "To",
  "history.any": "any",
  "history.showAll": "Show all",
  "history.none": "No matching entries.",
  "history.overTime.day": "Saves by day",
  "history.overTime.week": "Saves by week",
  "history.overTime.month": "Saves by month",
  "history.saves_one": "1 save",
  "history.saves_other": "%{count, number} saves",
  "history.wholeTime": "Show all dates",
  "history.export.csv": "CSV",
  "history.export.json": "JSON",
  "history.verify": "Verify the change log",
  "history.sound": "Change log verified: all %{n, number} entries intact.",
  "history.broken": "Entry %{n, number} was altered.",
  "history.setBack": "the clock was set back before this entry",
  "history.setBackAt": "Before entry %{n, number} the clock was set back by %{span}.",
  "history.inTable": "in %{table}",
  "history.isBack": "%{title} restored",
  "history.bringBack": "Restore record",
  "history.bringBackTitle": "Restore this record with its number and all its values",
  "history.putAllBack": "Restore to before this change",
  "history.putAllBackTitle": "Restore the record to its state before this change",
  "history.putValueBack": "Restore %{field} to %{value}",
  "history.what.table": "Table",
  "history.what.field": "Field",
  "history.what.rule": "Rule",
  "history.what.filter": "Filter",
  "history.what.form": "Form",
  "history.what.proof": "Proof",
  "history.what.list": "List",
  "history.added": "added",
  "history.changed": "changed",
  "history.removed": "deleted",
  "history.putStateBack": "Restore the design to this point",
  "history.putRuleBack": "Restore this rule",
  "history.takeOff": "Delete this rule",
  "history.ruleBack": "Rule restored.",
  "history.andMore": "and %{n, number} more",
  "history.sameDesign": "No difference from the state before.",
  "history.records__one": "1 record",
  "history.records__other": "%{count, number} records",
  "history.undone": "undone",
  "history.undoBatch": "Undo all of it",
  "history.passed": "Warning: %{message} Saved anyway; reason: %{reason}",
  "history.more": "Older entries",
  "history.empty": "Nothing has been saved yet.",
  "history.blank": "blank",
  "history.onlyRecord": "Only %{title}",
  "history.all": "Show the whole table",
  "history.values_one": "1 value",
  "history.values_other": "%{count} values",
  "history.putBack": "Restore",
  "history.current": "now",
  "history.actions.start": "",
  "history.actions.change": "",
  "history.actions.undo": "Undo:",
  "history.actions.redo": "Redo:",
  "history.actions.put back": "Restored:",
  "history.actions.restore": "",
  "history.followed_one": "Also updated: %{field}, in 1 record of %{table}.",
  "history.followed_other": "Also updated: %{field}, in %{count, number} records of %{table}.",
  "history.putBackAsk": "Restore the design of %{day}?",
  "history.putBackDo": "Restore design",
  "history.putBackLost": "What would be lost",
  "history.putBackRecords_one": "The table %{place}, with 1 record.",
  "history.putBackRecords_other": "The table %{place}, with %{count, number} records.",
  "history.putBackValues_one": "%{place}: 1 value.",
  "history.putBackValues_other": "%{place}: %{count, number} values.",
  "history.putBackNothing": "No records or values would be lost.",
  "history.putBackUndo": "This is a design change of its own: you can undo it.",
  "history.putBackDifferent_one": "1 part of the design would be different:",
  "history.putBackDifferent_other": "%{count} parts of the design would be different:",
  "history.putBackDone": "Design restored.",
  "history.barName": "%{span}: %{saves}",
  "history.barSpan": "%{from} to %{to}",
  "tidyReview.link": "Clean-up",
  "tidyReview.title": "Clean-up suggestions for %{table}",
  "tidyReview.aim": "Suggested corrections for existing text. Nothing changes until you accept.",
  "tidyReview.accept": "Accept",
  "tidyReview.ignore": "Ignore until it changes",
  "tidyReview.pick": "Select %{name}",
  "tidyReview.acceptAll_one": "Accept 1",
  "tidyReview.acceptAll_other": "Accept all %{count, number}",
  "tidyReview.acceptSome": "Accept %{n} selected",
  "tidyReview.ignoreAll_one": "Ignore 1",
  "tidyReview.ignoreAll_other": "Ignore all %{count, number}",
  "tidyReview.ignoreSome": "Ignore %{n} selected",
  "tidyReview.acceptText": "Each record is checked by its rules. Saved as one entry in History; you can undo it as a whole.",
  "tidyReview.ignored_one": "1 suggestion ignored.",
  "tidyReview.ignored_other": "%{count, number} suggestions ignored.",
  "tidyReview.again": "Show %{n, number} ignored suggestions",
  "tidyReview.empty": "No suggestions left.",
  "tidyReview.noRules": "This table has no clean-up rules. Add one on the board, in the Tidy column.",
  "tidyReview.toBoard": "Go to the board",
  "tidyReview.more": "%{n, number} more",
  "tidyReview.check": "Check for suggestions",
  "tidyReview.howOften": "How often",
  "tidyReview.never": "only when I look",
  "tidyReview.every.hour": "every hour",
  "tidyReview.every.day": "every day",
  "tidyReview.every.week": "every week",
  "tidyReview.weekday": "Day of the week",
  "tidyReview.hour": "Hour",
  "tidyReview.tell": "notify",
  "tidyReview.whom": "Person to notify",
  "tidyReview.ifAny": "if there are any",
  "tidyReview.accepted_one": "1 text corrected.",
  "tidyReview.accepted_other": "%{count, number} texts corrected.",
  "tidyReview.acceptedSome_one": "1 text corrected, %{left, number} unchanged.",
  "tidyReview.acceptedSome_other": "%{count, number} texts corrected, %{left, number} unchanged.",
  "tidyReview.days.monday": "Monday",
  "tidyReview.days.tuesday": "Tuesday",
  "tidyReview.days.wednesday": "Wednesday",
  "tidyReview.days.thursday": "Thursday",
  "tidyReview.days.friday": "Friday",
  "tidyReview.days.saturday": "Saturday",
  "tidyReview.days.sunday": "Sunday",
  "drafts.short": "draft",
  "drafts.onTack": "It has an unsaved change.",
  "drafts.kept": "Draft: it is kept here until you save or delete it.",
  "drafts.overtaken": "Draft: this rule was changed elsewhere in the meantime. If you save, your draft replaces it.",
  "drafts.drop": "Delete draft",
  "legend.title": "Legend",
  "legend.tack": "A rule on this field",
  "legend.shared": "A rule on several fields",
  "legend.used": "A rule that uses this field to set others",
  "legend.proven": "Proven. Proofs cover all its cases",
  "legend.partly": "Partly proven. Some cases have no proof",
  "legend.untried": "No proof yet",
  "legend.broken": "Broken. A proof fails",
  "legend.notice": "Gaps, overlaps or a rule that never runs",
  "legend.unchecked": "Existing records that the rule does not check yet",
  "legend.draft": "You have an unsaved change",
  "legend.empty": "No rule here. Click to pin one",
  "cases.condition": "If",
  "cases.else": "otherwise",
  "rulePanel.lockReach": "What is locked",
  "rulePanel.lockWhole": "the whole record, and deletion",
  "rulePanel.lockFields": "some fields",
  "rulePanel.lockWholeAim": "Every field, including fields added later. The record can't be deleted, not even in bulk.",
  "rulePanel.lockFieldsAim": "The other fields can still be edited, and the record can be deleted.",
  "rulePanel.showFault": "Show it",
  "rulePanel.while": "While this is true",
  "rulePanel.onlyWhile": "Only while a condition is met",
  "rulePanel.fixedMessage": "Fixed text",
  "rulePanel.withValues": "Text with values",
  "rulePanel.onlyWarn": "Warning only: people can save anyway with a reason, which is recorded in History",
  "rulePanel.letOld": "Don't check existing records until one of these fields is edited",
  "rulePanel.low": "Minimum",
  "rulePanel.high": "Maximum",
  "rulePanel.limitsHint": "A value, or a formula such as clay.limit or today(). You can leave either one empty.",
  "rulePanel.least": "Minimum length",
  "rulePanel.most": "Maximum length",
  "rulePanel.inTable": "In table",
  "rulePanel.asField": "field",
  "rulePanel.alsoLocked": "Also lock",
  "rulePanel.exceptRole": "Except for role",
  "rulePanel.nobody": "none",
  "rulePanel.copyFrom": "Field of the linked record",
  "rulePanel.copyHint": "Copied when the link is selected; can be edited and is not updated later.",
  "rulePanel.stale": "Showing the last valid result.",
  "rulePanel.effectFailed": "The effect couldn't be calculated. You can still save the rule. To try again, change it or reopen it.",
  "rulePanel.lookAt": "Show result for",
  "rulePanel.anyRecord": "any %{one}, by name",
  "rulePanel.more_": "Show more",
  "rulePanel.lookAtNone": "Clear",
  "rulePanel.blank": "blank",
  "rulePanel.newTitle": "New rule: %{stage}",
  "rulePanel.begin": "Default value",
  "rulePanel.fixed": "fixed",
  "rulePanel.worked": "formula",
  "rulePanel.formula": "Formula",
  "rulePanel.condition": "Condition that must be true",
  "rulePanel.message": "Error message",
  "rulePanel.name": "Short name on the board",
  "rulePanel.namePlaceholder": "optional – otherwise the rule's own text",
  "rulePanel.note": "Note",
  "rulePanel.more": "Name and note",
  "rulePanel.messageAt": "Show message at",
  "rulePanel.save": "Pin rule",
  "rulePanel.saveChange": "Save rule",
  "rulePanel.remove": "Delete rule",
  "rulePanel.removed": "Rule deleted",
  "rulePanel.results": "Effect on existing records",
  "rulePanel.noRecords": "No records yet to show the effect on.",
  "rulePanel.opening": "A new record would start with",
  "rulePanel.nothing": "nothing",
  "rulePanel.effect.default": "Existing records stay as they are.",
  "rulePanel.effect.unjudged": "%{n, number} not checked because a field is blank.",
  "rulePanel.effect.partial": "%{n, number} of %{total, number} checked so far.",
  "rulePanel.effect.doubles": "%{n, number} of %{total, number} records share a value with another record.",
  "rulePanel.effect.mend": "Open them here to fix them, or tick “Don't check existing records”.",
  "rulePanel.effect.letBe": "They are not checked until one of these fields is edited; the board shows how many remain.",
  "rulePanel.effect.warned": "The next person who edits one of these fields will be asked for a reason.",
  "rulePanel.effect.rewritten_one": "1 will be rewritten in this form when it is next saved.",
  "rulePanel.effect.rewritten_other": "%{count} will be rewritten in this form when they are next saved.",
  "rulePanel.effect.tidiedLater": "Saving the rule doesn't change them.",
  "rulePanel.effect.review": "Review suggestions",
  "rulePanel.effect.straysStay": "They stay until one of these fields is edited.",
  "rulePanel.effect.locked": "%{n} of %{total} existing records are locked.",
  "rulePanel.effect.refuses_zero": "All %{total} existing records pass.",
  "rulePanel.effect.refuses_one": "1 of %{total} existing records will be refused when it is next saved.",
  "rulePanel.effect.refuses_other": "%{count} of %{total} existing records will be refused when they are next saved.",
  "rulePanel.effect.strayed_zero": "All %{total} existing records pass.",
  "rulePanel.effect.strayed_one": "1 of %{total} existing records breaks this rule.",
  "rulePanel.effect.strayed_other": "%{count} of %{total} existing records break this rule.",
  "rulePanel.effect.tidied_zero": "All %{total} records are clean.",
  "rulePanel.effect.tidied_one": "1 of %{total} records would be cleaned up.",
  "rulePanel.effect.tidied_other": "%{count} of %{total} records would be cleaned up.",
  "rulePanel.effect.strays_zero": "All %{total} records have an allowed value.",
  "rulePanel.effect.strays_one": "1 of %{total} records has a value that is no longer allowed.",
  "rulePanel.effect.strays_other": "%{count} of %{total} records have a value that is no longer allowed.",
  "rulePanel.verdicts.refused": "refused",
  "rulePanel.verdicts.strays": "breaks the rule",
  "rulePanel.verdicts.locked": "locked",
  "rulePanel.verdicts.passed": "passes",
  "rulePanel.verdicts.unjudged": "not checked",
  "rulePanel.verdicts.failed": "fails",
  "rulePanel.verdicts.changes": "changes",
  "rulePanel.verdicts.differs": "differs",
  "rulePanel.verdicts.blank": "blank",
  "rulePanel.verdicts.same": "the same",
  "rulePanel.verdicts.idle": "condition not met",
  "rulePanel.verdicts.noRow": "no matching row",
  "rulePanel.choose": "Choose a value",
  "mask.way": "How to write the mask",
  "mask.ways.example": "From example",
  "mask.ways.pieces": "From blocks",
  "mask.ways.text": "As code",
  "mask.ways.ready": "Presets",
  "mask.typeExample": "Type a correct example",
  "mask.meant": "What it means",
  "mask.noReading": "Type at least one letter or digit.",
  "mask.reads": "Reads:",
  "mask.such": "– for example",
  "mask.tryIt": "Try the mask",
  "mask.complete": "Complete.",
  "mask.refused": "Not yet: %{why}.",
  "mask.storedAs": "Complete. Stored as %{text}.",
  "mask.half": "Incomplete input",
  "mask.halves.refuse": "show an error",
  "mask.halves.clear": "clear the field",
  "mask.drop": "Store without separators (they are still displayed)",
  "mask.usual": "optional – otherwise says what is missing",
  "mask.optional": "optional",
  "mask.several": "group of %{n} blocks",
  "mask.addKind": "Characters",
  "mask.addText": "Fixed text",
  "mask.least": "At least",
  "mask.most": "At most",
  "mask.to": "to",
  "mask.kind": "Kind of characters",
  "mask.kinds.DIGIT": "digits",
  "mask.kinds.UPPER": "uppercase letters",
  "mask.kinds.LOWER": "lowercase letters",
  "mask.kinds.ALPHA": "letters",
  "mask.kinds.ALNUM": "letters or digits",
  "mask.kinds.ANY": "any characters",
  "narrow.list": "Allowed combinations",
  "narrow.pasteHint": "Tick the allowed choices (Shift: a range; on the name: the whole row). Or click here and paste two columns: %{parent}, %{field}.",
  "narrow.wholeRow": "Whole row on or off",
  "narrow.way": "How to limit the choices",
  "narrow.condition": "By a condition",
  "narrow.byList": "By a list",
  "narrow.belongs": "Offer only choices for %{label} where",
  "narrow.dependsOn": "Depends on",
  "narrow.otherwise": "If the current choice is no longer allowed",
  "narrow.ways.clear": "clear it",
  "narrow.ways.keep": "keep it",
  "narrow.ways.refuse": "refuse to save",
  "narrow.message": "Error message",
  "narrow.usual": "optional – otherwise says that it is not allowed",
  "narrow.pairs_one": "1 pair",
  "narrow.pairs_other": "%{count} pairs",
  "narrow.pastedValues_one": "1 value",
  "narrow.pastedValues_other": "%{count} values",
  "narrow.pasted": "%{pairs} pasted, for %{values}.",
  "narrow.pastedUnknown": "%{pairs} pasted. Not in either list: %{unknown}.",
  "narrow.hint": "In this formula, %{key} means each candidate in turn, not the record's current %{label}.",
  "narrow.hintAlone": "In this formula, %{key} means each candidate in turn.",
  "tidy.steps": "Steps, from top to bottom",
  "tidy.add": "Add a step …",
  "tidy.earlier": "Move up",
  "tidy.later": "Move down",
  "tidy.remove": "Remove",
  "tidy.example": "Example",
  "tidy.when": "When",
  "tidy.modes.save": "automatically when the text changes",
  "tidy.modes.suggest": "as a suggestion that someone accepts or ignores",
  "tidy.settings.just_so": "Exact spelling of",
  "tidy.settings.prefixes": "Capitalise after",
  "tidy.settings.also": "also these characters",
  "tidy.settings.from": "Replace",
  "tidy.settings.to": "with",
  "tidy.kinds.letters": "letters",
  "tidy.kinds.digits": "digits",
  "tidy.kinds.spaces": "spaces",
  "tidy.kinds.punctuation": "punctuation",
  "tidy.kinds.symbols": "symbols",
  "security.again": "Confirm your password",
  "security.againWhy": "Asked before roles, tokens or backups are changed, in case somebody else is using your browser.",
  "security.goOn": "Continue",
  "security.sessions": "Sessions",
  "security.since": "since %{day}",
  "security.used": "last used %{day}",
  "security.here": "this browser",
  "security.end": "End",
  "security.endOf": "End the session of %{name} on %{device}",
  "security.ended": "Session ended.",
  "security.endOthers": "End all my other sessions",
  "security.othersEnded": "Your other sessions are ended.",
  "security.log": "Security log",
  "security.logAim": "Who signed in, who was refused, and what was changed about people, tokens and backups. Entries can't be changed or deleted.",
  "security.nothing": "No entries yet.",
  "security.older": "Show older",
  "security.demoRuns": "The demo is running: on this computer its people sign in with one click. End it before you enter real records.",
  "security.endDemo": "End the demo",
  "security.endDemoAsk": "End the demo?",
  "security.endDemoText": "Demo people without a password become inactive. All records and rules stay. From then on everybody signs in with a password.",
  "security.demoEnded_one": "The demo has ended. 1 person is inactive now.",
  "security.demoEnded_other": "The demo has ended. %{count} people are inactive now.",
  "security.passwordFirst": "Set your own password first. After the demo, nobody can sign in without one.",
  "security.anonymise": "Delete the name…",
  "security.anonymiseAsk": "Delete the name of %{name} for good?",
  "security.anonymiseText": "History, the design's history and values set by rules will show “Person %{id}” instead. What this person did stays, and so does text that people typed. Backups keep the name until they are deleted. You can't undo this.",
  "security.anonymiseDo": "Delete the name",
  "security.anonymised": "Name deleted. It is now shown as %{name}.",
  "security.code": "Code from the terminal",
  "security.codeHint": "It is shown in the window where Up Tack was started.",
  "name": "Up Tack",
  "views.rules": "Rules",
  "views.forms": "Forms",
  "views.records": "Records",
  "views.bench": "Bench",
  "views.history": "History",
  "views.map": "Map",
  "errors.offline": "Up Tack can't be reached. Your entries are kept here. Try again in a moment.",
  "errors.unexpected": "Something went wrong. Nothing was saved. Try again; if it happens again, tell a builder.",
  "errors.missingPage": "There is nothing at this address.",
  "errors.notLoaded": "Part of this page didn't load.",
  "errors.notShown": "This page can't be shown.",
  "errors.notLoadedText": "Your entries are kept in this browser. Reload the page. If the problem stays, tell a builder.",
  "errors.loadAgain": "Reload",
  "errors.backToTables": "Go to the tables",
  "palette.kinds.view": "View",
  "palette.kinds.field": "Field",
  "palette.kinds.rule": "Rule",
  "palette.kinds.form": "Form",
  "palette.kinds.proof": "Proof",
  "palette.kinds.record": "Record",
  "palette.kinds.command": "Command",
  "shell.notices": "Notices",
  "shell.help": "Help",
  "shell.allTables": "All tables",
  "shell.find": "Find",
  "shell.findHint": "Find a table, field, rule, record or command",
  "shell.nothingFound": "No match.",
  "shell.shortcuts": "Keyboard shortcuts",
  "shell.theme.calico": "Switch to lamplight (dark)",
  "shell.theme.lamplight": "Switch to calico (light)",
  "shell.you": "You",
  "shell.undo": "Undo",
  "shell.redo": "Redo",
  "shell.undone": "Undone: %{what}",
  "shell.redone": "Redone: %{what}",
  "shell.nothingToUndo": "No design change to undo.",
  "shell.nothingToRedo": "Nothing to redo.",
  "shell.skip": "Skip to the content",
  "shell.clock": "Local date and time (%{zone})",
  "guide.title": "Guide",
  "guide.aim": "Each page describes one job, step by step, with the demo as the example.",
  "guide.search": "Search the guide",
  "guide.all": "All pages",
  "guide.explain": "How to do this",
  "firstSteps.title": "First steps",
  "firstSteps.close": "Close",
  "firstSteps.done": "done",
  "firstSteps.table": "Create a table",
  "firstSteps.field": "Add fields",
  "firstSteps.rule": "Pin a rule",
  "firstSteps.trial": "Try a record",
  "firstSteps.proof": "Save a proof",
  "firstSteps.form": "Create a form",
  "firstSteps.person": "Add a person",
  "firstSteps.how.table": "Type its name below, such as Glazes.",
  "firstSteps.how.field": "On the board, type a name into “Add a field” and press Enter.",
  "firstSteps.how.rule": "On the board, click an empty cell and choose what the rule does.",
  "firstSteps.how.trial": "On the bench, enter values and watch what the rules do. Real records are not changed.",
  "firstSteps.how.proof": "On the bench, choose “Save as proof”. It runs again after each change.",
  "firstSteps.how.form": "Arrange the fields for the people who enter records.",
  "firstSteps.how.person": "They sign in with a name and a password.",
  "start.aim": "Choose what to enter.",
  "start.readAim": "Choose the records to view.",
  "start.view": "Records you can view",
  "start.waiting": "Not saved yet",
  "start.newDraft": "%{table}: a new record",
  "start.draft": "%{table}: record #%{id}",
  "overview.aim": "Pin rules on a table's fields, try a record on the bench, then let people enter records.",
  "overview.add": "New table",
  "overview.addPlaceholder": "Name, such as Glazes",
  "overview.create": "Create table",
  "overview.records_one": "1 record",
  "overview.records_other": "%{count, number} records",
  "overview.fields_one": "1 field",
  "overview.fields_other": "%{count} fields",
  "overview.rules_one": "1 rule",
  "overview.rules_other": "%{count} rules",
  "overview.empty": "No tables yet. A table contains records of one kind: members, pieces, orders.",
  "overview.rename": "Rename",
  "overview.remove": "Delete",
  "overview.removeTitle": "Delete %{table}?",
  "overview.removeText": "This also deletes its %{n, number} records and all its rules. You can undo this.",
  "overview.removeElsewhere": "These rules in other tables use it and will be deleted too:",
  "overview.removed": "%{table} deleted",
  "overview.renameTitle": "Rename table",
  "overview.label": "Table name",
  "overview.one": "Name of one record",
  "waiting.for": "Waiting: %{what}",
  "waiting.kept": "What you typed is kept. You do not have to do anything.",
  "waiting.percent": "%{percent} % done",
  "waiting.server": "The server is busy …",
  "job.title": "Work in progress",
  "job.begin": "Preparing …",
  "job.field": "%{name}",
  "job.stop": "Stop",
  "job.note": "Everybody can go on working. If you stop it, the design and all records are as before.",
  "job.stopped": "Stopped. The design and all records are unchanged.",
  "job.count": "%{done, number} of %{total, number} records",
  "job.left.few": "a few seconds left",
  "job.left.seconds": "about %{n} seconds left",
  "job.left.minutes_one": "about 1 minute left",
  "job.left.minutes_other": "about %{count} minutes left",
  "roles.builder": "builders",
  "roles.clerk": "clerks",
  "roles.reader": "readers",
  "writing.title": "Dates, numbers and time zone",
  "writing.aim": "Stored values stay the same. Only how they are shown and entered changes. You can undo this.",
  "writing.dates": "Date order",
  "writing.zone": "Time zone",
  "writing.decimal": "Decimal mark",
  "writing.group": "Thousands separator",
  "writing.shown": "Shown differently",
  "writing.shownNone": "No value changes.",
  "writing.typed": "Read differently when entered",
  "writing.typedNone": "Nothing changes.",
  "writing.done": "Formats changed.",
  "writing.orders.dmy": "day, month, year: 24/3/2026",
  "writing.orders.mdy": "month, day, year: 3/24/2026",
  "writing.orders.ymd": "year, month, day: 2026-3-24",
  "writing.decimals.point": "a point: 1.5",
  "writing.decimals.comma": "a comma: 1,5",
  "writing.groups.comma": "a comma: 1,200",
  "writing.groups.point": "a point: 1.200",
  "writing.groups.space": "a space: 1 200",
  "outbox.title": "Outbox",
  "outbox.aim": "Notices for people, shown here only. Nothing is e-mailed.",
  "outbox.check": "Check now",
  "outbox.empty": "No notices yet. A table's clean-up check can notify somebody when there are suggestions.",
  "outbox.to": "To %{name}",
  "outbox.open": "Open",
  "outbox.waiting_one": "1 notice for you",
  "outbox.waiting_other": "%{count} notices for you",
  "outbox.checked_zero": "Nothing due.",
  "outbox.checked_one": "1 notice created.",
  "outbox.checked_other": "%{count} notices created.",
  "keys.title": "Keyboard shortcuts",
  "keys.close": "Close",
  "keys.everywhere.name": "Everywhere",
  "keys.everywhere.find": "find anything",
  "keys.everywhere.list": "this list",
  "keys.everywhere.undo": "undo a design change",
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
  "keys.records.cells": "from cell to cell; with Shift select a range, with Ctrl go to the end",
  "keys.records.type": "edit the cell; Enter or Tab saves and moves on, Esc cancels",
  "keys.records.typeKeys": "F2, Enter, a letter",
  "keys.records.tab": "to the next cell you can edit; Esc, then Tab leaves the grid",
  "keys.records.giveUp": "discard a row that was refused",
  "keys.records.clear": "clear the range",
  "keys.records.copy": "copy, cut and paste a block, also from and to a spreadsheet",
  "keys.records.fill": "fill down, fill to the right; with the mouse: drag the corner of the range",
  "keys.records.find": "find in all records",
  "keys.records.undo": "undo or redo the last change here",
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
  "common.loading": "Loading …",
  "common.retry": "Try again",
  "common.save": "Save",
};
