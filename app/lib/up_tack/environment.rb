# frozen_string_literal: true

require "etc"
require "ipaddr"

module UpTack
  # What is set from outside when the program starts: every variable that it reads, with what it is for, what it is
  # when nobody sets it, and what is wrong with what somebody has set.
  class Environment
    # name:: of the variable; usual:: its value where it is not set; secret:: whether its value is shown to nobody
    # check:: gives what is wrong with its text, a sentence, nil where nothing is
    Setting = Struct.new(:name, :usual, :description, :secret, :check, keyword_init: true)
    # A setting as it is: value:: as it is shown; set:: whether somebody has set it
    Shown = Struct.new(:name, :value, :set, :description, keyword_init: true)

    LOOPBACK = %w[127.0.0.1 localhost ::1].freeze
    # Processes at most that answer.
    MOST = 64
    SHORTEST_TOKEN = 16

    # @return [Array<String>] what stands between commas
    def self.parts(text) = text.split(",").map(&:strip).reject(&:empty?)

    networks = ->(text) do
      parts(text).each { |each| IPAddr.new(each) }
      nil
    rescue IPAddr::Error
      Core::Messages["environment.networks", given: text]
    end
    between = ->(name, range) do
      ->(text) do
        next if text.match?(/\A\d{1,5}\z/) && range.cover?(text.to_i)

        Core::Messages["environment.number", name: name, least: range.first, most: range.last, given: text]
      end
    end
    one_of = ->(name, *texts) do
      ->(text) do
        unless texts.include?(text)
          Core::Messages["environment.one_of", name: name, words: texts.join(", "),
            given: text]
        end
      end
    end
    long = ->(name, least) do
      ->(text) do
        text.length.between?(1, least - 1) ? Core::Messages["environment.short", name: name, least: least] : nil
      end
    end
    path = ->(text) do
      text.match?(%r{\A(/[\w.~-]+)*\z}) ? nil : Core::Messages["environment.path", given: text]
    end

    SETTINGS = [
      Setting.new(
        name: "HOST", usual: "127.0.0.1",
        description: "The address at which it listens. 127.0.0.1 is for this machine alone."
      ),
      Setting.new(
        name: "PORT", usual: "4567", check: between["PORT", 1..65_535], description: "The port at which it listens."
      ),
      Setting.new(
        name: "WEB_CONCURRENCY", usual: Etc.nprocessors.to_s, check: between["WEB_CONCURRENCY", 0..MOST],
        description: "Processes that answer, usually one for each core. 0 or 1 is one process for everything."
      ),
      Setting.new(name: "UP_TACK_DATA", usual: "data", description: "The folder of the database."),
      Setting.new(
        name: "UP_TACK_BACKUPS", usual: "",
        description: "A second folder for backups, on another disk. Each backup is copied there."
      ),
      Setting.new(
        name: "UP_TACK_HOSTS", usual: "",
        description: "Names under which other machines reach it, separated by commas."
      ),
      Setting.new(
        name: "UP_TACK_WEBHOOKS", usual: "",
        description: "Hosts to which webhooks may be sent, separated by commas. This machine is always allowed."
      ),
      Setting.new(
        name: "UP_TACK_PROXIES", usual: "", check: networks,
        description: "Addresses or networks of proxies in front of it, separated by commas."
      ),
      Setting.new(
        name: "UP_TACK_PATH", usual: "", check: path,
        description: "The path under which a proxy serves it, such as /tack."
      ),
      Setting.new(
        name: "UP_TACK_KEY", usual: "", secret: true, check: long["UP_TACK_KEY", Store::LogKey::SHORTEST],
        description: "The key by which the change log is sealed. Otherwise it lies in a file beside the database."
      ),
      Setting.new(
        name: "UP_TACK_LOG_MONTHS", usual: "24", check: between["UP_TACK_LOG_MONTHS", 0..1_200],
        description: "Months after which entries of the change log move into files beside the database. 0 keeps them."
      ),
      Setting.new(
        name: "UP_TACK_METRICS", usual: "", secret: true, check: long["UP_TACK_METRICS", SHORTEST_TOKEN],
        description: "The token with which /metrics is read. Otherwise only this machine can read it."
      ),
      Setting.new(
        name: "UP_TACK_LOG", usual: "text", check: one_of["UP_TACK_LOG", "text", "json"],
        description: "How the program's own log is written: text or json."
      ),
      Setting.new(
        name: "UP_TACK_LOG_LEVEL", usual: "warn", check: one_of["UP_TACK_LOG_LEVEL", *Log::LEVELS],
        description: "From which level on it is written: debug, info, warn or error."
      )
    ].freeze

    # @param env [Hash{String=>String}]
    def initialize(env = ENV)
      @env = env
    end

    # @param name [String]
    # @return [String]
    def [](name) = set?(name) ? @env[name].to_s : SETTINGS.find { |each| each.name == name }.usual

    # @return [Array<String>] what is wrong, a sentence each
    def problems = [*SETTINGS.filter_map { |setting| setting.check&.call(self[setting.name]) }, *unnamed]

    # @return [Array<Shown>]
    def all
      SETTINGS.map do |setting|
        value = self[setting.name]
        value = Core::Messages["environment.is_secret"] if setting.secret && !value.empty?
        Shown.new(name: setting.name, value: value, set: set?(setting.name), description: setting.description)
      end
    end

    def host = self["HOST"]
    def port = self["PORT"].to_i

    # @return [Integer] processes that answer; 0 where one answers and does everything else, too
    def processes = self["WEB_CONCURRENCY"].to_i.then { |count| (count > 1) ? count : 0 }

    # @return [String] the folder of the database
    def folder = File.expand_path(self["UP_TACK_DATA"], beside("UP_TACK_DATA"))

    # @return [String, nil] the folder on another disk to which backups are copied
    def second_folder
      self["UP_TACK_BACKUPS"].then { |text| text.empty? ? nil : File.expand_path(text, caller_folder) }
    end

    # @return [Integer, nil] months after which entries of the change log move; nil for never
    def log_months = self["UP_TACK_LOG_MONTHS"].to_i.then { |months| months.positive? ? months : nil }

    # @return [Boolean] whether other machines reach it
    def open? = !LOOPBACK.include?(host)

    # @return [Array<String>] names under which they do
    def hosts = Environment.parts(self["UP_TACK_HOSTS"])

    # @return [Array<IPAddr>] proxies that are believed
    # @raise [IPAddr::Error]
    def proxies = Environment.parts(self["UP_TACK_PROXIES"]).map { |each| IPAddr.new(each) }

    # @return [String] where the application begins: "" or a path such as "/tack"
    def path = self["UP_TACK_PATH"]

    private

    def set?(name) = !@env[name].to_s.empty?
    def beside(name) = set?(name) ? caller_folder : Installation::ROOT
    def caller_folder = @env.fetch("UP_TACK_CALLER_DIR", Dir.pwd)

    def unnamed
      (open? && hosts.empty?) ? [Core::Messages["environment.unnamed", host: host]] : []
    end
  end
end
