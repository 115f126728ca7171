# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # The demo's people, who sign in with one click on the machine that it runs on, until the demo is ended.
      module Demo
        module_function

        # @return [Array<Store::Person>] those who come in without a password
        def people
          return [] unless Store::Settings.demo?

          Store::Person.where(id: Store::Settings.demo_people, active: true, password_digest: nil).order(:id).to_a
        end

        # @return [Boolean] whether the demo is not ended yet
        def there? = Store::Settings.demo?

        # Makes those inactive who never got a password. Whoever ends it must have one, or there would be
        # nobody left to come in.
        # @param by [Store::Person]
        # @return [Array<Store::Person>] who was made inactive
        # @raise [Core::Invalid]
        def stop(by:)
          Store::Database.write do
            by = Store::Person.find(by.id)
            unless by.password?
              Core::Invalid.because(
                Core::Messages["people.demo.set_password_of_your_own_first"],
                part: "password"
              )
            end

            gone = people
            gone.each do |person|
              person.changed_by = by
              person.update!(active: false)
              Store::Session.where(person_id: person.id).delete_all
              Store::Token.end_all(person, why: "the demo was ended", by: by)
            end
            Store::Settings["demo"] = "no"
            Store::Event.add("demo_ended", {"people" => gone.map(&:id)}, person: by)
            gone
          end
        end
      end
    end
  end
end
