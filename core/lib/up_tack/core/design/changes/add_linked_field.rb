# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # A field for a detail of a linked record, right after the link, with the
        # rule that fills it: one that always shows what the linked record holds,
        # or one that copies it when the link is chosen.
        class AddLinkedField < Change
          # @param table [String] key
          # @param link [String] key of the link
          # @param detail [String] key of a field of the linked table
          # @param copy [Boolean]
          def initialize(table:, link:, detail:, copy:)
            @table = table
            @link = link
            @detail = detail
            @copy = copy
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            index = table["fields"].index(field_attributes(table, @link))
            detail = detail_of(project)
            label = free_label("#{table["fields"][index]["label"]}: #{detail.label}", table)
            key = key_for(label, taken(table["fields"]), "field")
            table["fields"].insert(index + 1, field(attributes, detail, key, label))
            table["rules"] << rule(attributes, key)
            @summary = "Field #{label} added to #{table["label"]}"
            build(project, attributes)
          end

          private

          def detail_of(project)
            link = project.table(@table).field(@link)
            Invalid.because(Messages["common.is_no_link", link: link.label], part: "link") unless link.link?
            detail = project.table(link.target).field(@detail.to_s)
            if detail.nil? || detail.link?
              Invalid.because(Messages["design.add_linked_field.pick_field_of_linked_record"], part: "detail")
            end
            detail
          end

          def free_label(label, table)
            label = label[0, Names::LONGEST_LABEL]
            taken = table["fields"].map { |field| Unicode.folded(field["label"]) }
            return label unless taken.include?(Unicode.folded(label))

            (2..)
              .lazy
              .map { |number| "#{label[0, Names::LONGEST_LABEL - 4]} #{number}" }
              .find { |each| !taken.include?(Unicode.folded(each)) }
          end

          def field(attributes, detail, key, label)
            detail
              .attributes
              .except("note", "id", "key", "label", "aliases")
              .merge("id" => next_id(attributes, "f"), "key" => key, "label" => label)
          end

          def rule(attributes, key)
            common = {"id" => next_id(attributes, "r"), "field" => key, "formula" => "#{@link}.#{@detail}"}
            @copy ? common.merge("kind" => "copy") : common.merge("kind" => "calculation", "keeping" => "shown")
          end
        end
      end
    end
  end
end
