# frozen_string_literal: true

module UpTack
  module Core
    module Tidying
      # The steps that there are. Each is one line in the registry.
      module Steps
        # key:: in the design; label:: on screen; example:: a text on which it shows
        # settings:: names of what can be set: "texts" are lists, others texts
        Step =
          Struct.new(:key, :label, :example, :settings, :work, :says, keyword_init: true) do
            def label = Wording[self[:label]]

            # @return [String]
            def run(text, given) = work.call(text, given)

            # @return [String] what it does, in a few words
            def words(given) = says ? says.call(given) : label.downcase

            # @return [String, nil] what is wrong with its settings
            def problem(given)
              given
                .except("do")
                .each do |name, value|
                  unless settings.key?(name)
                    return Messages["tidying.steps.step_has_no_setting", label: label, name: name]
                  end
                  unless fits?(settings[name], value)
                    return wrong_shape(name)
                  end
                end
              missing = settings.keys.find { |name| settings[name] == :needed && given[name].to_s.empty? }
              missing ? Messages["tidying.steps.needs_to_know_what_to_look", label: label] : kinds_problem(given)
            end

            private

            def wrong_shape(name)
              if settings[name] == :texts
                return Messages["tidying.steps.is_list_of_texts", label: label, name: name]
              end

              Messages["tidying.steps.is_text", label: label, name: name]
            end

            def fits?(shape, value)
              if %i[texts kinds].include?(shape)
                return value.is_a?(Array) && value.length <= 200 &&
                    value.all? { |text| text.is_a?(String) && text.length <= 100 }
              end

              value.is_a?(String) && value.length <= 200
            end

            def kinds_problem(given)
              name = settings.key(:kinds) or return
              kinds = given[name]
              if kinds.to_a.empty? && given["also"].to_s.empty?
                return Messages["tidying.steps.needs_at_least_one_kind_of_characters", label: label]
              end

              unknown = kinds.to_a.find { |kind| !CharacterKinds::ALL.key?(kind) }
              Messages["tidying.steps.there_is_no_kind_of_characters", unknown: unknown] if unknown
            end
          end

        KINDS = {"kinds" => :kinds, "also" => :text}.freeze
        # Most texts have nothing of these, and to look costs less than to write anew.
        EDGES = /^[[:blank:]]|[[:blank:]]$|\A[[:space:]]|[[:space:]]\z/
        GAPS = /[[:blank:]]{2}|[[:blank:]&&[^ ]]/

        module_function

        # @return [Hash{String=>Step}] in the order in which they are offered
        def all
          @all ||=
            [
              step("trim", "Trim spaces at the ends", " Ansa Velt ") do |text, _|
                if text.match?(EDGES)
                  text.gsub(/^[[:blank:]]+|[[:blank:]]+$/, "").gsub(/\A[[:space:]]+|[[:space:]]+\z/, "")
                else
                  text
                end
              end,
              step("collapse", "One space between words", "Ansa   Velt") do |text, _|
                text.match?(GAPS) ? text.gsub(/(?<=\S)[[:blank:]]+(?=\S)/, " ") : text
              end,
              step("remove_spaces", "Remove all spaces", "KD 017") { |text, _| text.gsub(/[[:space:]]/, "") },
              step("upper", "All uppercase", "kd-017") { |text, _| text.upcase },
              step("lower", "All lowercase", "Ansa.Velt@Emberlane.Example") { |text, _| text.downcase },
              step(
                "capitals",
                "Capitalise each word",
                "ANSA van der VELT",
                {"just_so" => :texts, "prefixes" => :texts}
              ) { |text, given|
                Capitals.apply(text, just_so: given["just_so"].to_a,
                  prefixes: given["prefixes"].to_a)
              },
              step("first", "Capitalise the first letter", "soup bowl") do |text, _|
                text.sub(/\p{L}/) { |letter| letter.upcase }
              end,
              step(
                "remove",
                "Remove characters",
                "01-555/0142",
                KINDS,
                says: ->(given) { Wording["without %{words}", words: CharacterKinds.words(given)] }
              ) { |text, given| CharacterKinds.without(text, given) },
              step(
                "keep",
                "Keep only some characters",
                "Tel. 01 555",
                KINDS,
                says: ->(given) { Wording["only %{words}", words: CharacterKinds.words(given)] }
              ) { |text, given| CharacterKinds.only(text, given) },
              step(
                "replace",
                "Replace a text",
                "Str.",
                {"from" => :needed, "to" => :text},
                says: ->(given) { Wording["“%{from}” becomes “%{to}”", from: given["from"], to: given["to"]] }
              ) { |text, given| text.gsub(given["from"], given["to"].to_s) },
              step("quotes", "Straight quotes", "it’s “fine”") { |text, _| text.tr("‘’‚‛′", "'").tr("“”„‟″«»", '"') },
              step("nfc", "One form for accented letters (NFC)", "Zoe\u0308") do |text, _|
                text.unicode_normalize(:nfc)
              end
            ].to_h { |each| [each.key, each] }.freeze
        end

        def step(key, label, example, settings = {}, says: nil, &work)
          Step.new(key: key, label: label, example: example, settings: settings, work: work, says: says).freeze
        end
      end
    end
  end
end
