# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Brings the design of a project file into a project that is there. Tables and fields
      # are known by their keys, lists, forms, filters and proofs by their names, rules by
      # their ids where kind and field agree, else by what they say. What both have becomes
      # as it is in the file; what only the project has stays; nothing is taken away. Ids are
      # those of the project, and new ones where it has none.
      class Merge
        # @param project [Project]
        # @param incoming [Hash{String=>Object}] a sound design, plain
        def initialize(project, incoming)
          @attributes = project.attributes
          @incoming = Marshal.load(Marshal.dump(incoming))
          @ids = {}
        end

        # @return [Hash{String=>Object}] the merged design, plain
        def attributes
          return @merged if @merged

          @attributes["lists"] = merged(@attributes["lists"] || [], @incoming["lists"] || [], "l") do |list|
            Unicode.folded(list["name"].to_s)
          end
          pairs = tables
          pairs.each { |own, theirs| parts(own, theirs) }
          pairs.each { |own, theirs| translate_ids(own, theirs) }
          @attributes.delete("lists") if @attributes["lists"].empty?
          @merged = @attributes
        end

        private

        # @return [Array<Array(Hash, Hash)>] each table of the file with that of the project
        def tables
          @attributes["tables"] ||= []
          (@incoming["tables"] || []).map do |theirs|
            own = @attributes["tables"].find { |table| table["key"] == theirs["key"] }
            unless own
              @attributes["tables"] << own = {
                "id" => next_id("t"),
                "key" => theirs["key"],
                "fields" => [],
                "rules" => []
              }
            end
            @ids[theirs["id"]] = own["id"]
            [own, theirs]
          end
        end

        def parts(own, theirs)
          head = theirs.slice("label", "one", "note", "title", "review", "access")
          fresh = own.slice("id", "key", "aliases").merge(head)
          own.replace(fresh.merge(own) { |_, taken, _| taken })
          own["fields"] = merged(own["fields"], theirs["fields"] || [], "f") { |field| field["key"] }
          own["rules"] = rules(own["rules"], theirs["rules"] || [])
          own["filters"] = merged(own["filters"] || [], theirs["filters"] || [], "q") do |filter|
            Unicode.folded(filter["name"].to_s)
          end
          own["forms"] = merged(own["forms"] || [], theirs["forms"] || [], "m") do |form|
            Unicode.folded(form["name"].to_s)
          end
          own["proofs"] = merged(own["proofs"] || [], theirs["proofs"] || [], "p") do |proof|
            [proof["group"], proof["name"]]
          end
        end

        # What names something by its id names it by that which it has here.
        def translate_ids(own, theirs)
          own["fields"].each do |field|
            field["list"] = @ids.fetch(field["list"], field["list"]) if field["list"] && from_file?(field["id"])
          end
          own["log"] = theirs["log"].transform_values { |ids| ids.map { |id| @ids.fetch(id, id) } } if theirs["log"]
          own["proofs"].each { |proof| translate_proof(proof) if from_file?(proof["id"]) }
          %w[filters forms proofs].each { |part| own.delete(part) if own[part].empty? }
        end

        def translate_proof(proof)
          proof["form"] = @ids.fetch(proof["form"], proof["form"]) if proof["form"]
          [*proof["acts"], *proof["expect"]].each do |each|
            each["rule"] = @ids.fetch(each["rule"], each["rule"]) if each["rule"]
          end
        end

        def from_file?(id) = @ids.value?(id)

        # @yield what a part is known by
        def merged(own, theirs, letter, &known)
          all = own.dup
          theirs.each do |part|
            index = all.index { |each| known.call(each) == known.call(part) }
            put(all, index, part, letter)
          end
          all
        end

        def rules(own, theirs)
          all = own.dup
          theirs.each do |rule|
            index =
              all.index do |each|
                each["id"] == rule["id"] && each.values_at("kind", "field") == rule.values_at("kind", "field")
              end
            index ||= all.index { |each| each.except("id") == rule.except("id") }
            index ||=
              all.index do |each|
                each["name"] && each.values_at("name", "kind", "field") == rule.values_at("name", "kind", "field")
              end
            put(all, index, rule, "r")
          end
          all
        end

        def put(all, index, part, letter)
          id = index ? all[index]["id"] : next_id(letter)
          @ids[part["id"]] = id
          made = {"id" => id}.merge(part.except("id"))
          index ? all[index] = made : all << made
        end

        def next_id(letter) = "#{letter}#{@attributes["last_id"] += 1}"
      end
    end
  end
end
